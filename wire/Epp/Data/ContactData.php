<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use Acre\Wire\Xml\XmlNode;

/** What a server has of a contact (RFC 5733 §3.1.2). */
final readonly class ContactData
{
    /**
     * @param  list<string>  $statuses
     * @param  list<PostalInfo>  $postal
     * @param  string|null  $voice  `+CC.NNN`, with `x` and an extension where there is one
     */
    private function __construct(
        public string $handle,
        public string $roid,
        public array $statuses,
        public array $postal,
        public ?string $voice,
        public string $mailbox,
    ) {
    }

    public static function of(EppResponse $response): self
    {
        $contact = EppNamespace::Contact->value;
        $info = $response->object(EppNamespace::Contact, 'infData');
        $voice = $info->childOrNull($contact, 'voice');
        $extension = $voice?->attribute('x');

        return new self(
            $info->textOf($contact, 'id'),
            $info->textOf($contact, 'roid'),
            array_map(fn (XmlNode $status): string => $status->attribute('s') ?? '', $info->children($contact, 'status')),
            array_map(PostalInfo::of(...), $info->children($contact, 'postalInfo')),
            $voice === null || $voice->text() === '' ? null : $voice->text().($extension === null ? '' : 'x'.$extension),
            $info->textOf($contact, 'email'),
        );
    }
}
