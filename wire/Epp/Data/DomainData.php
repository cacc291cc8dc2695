<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use Acre\Wire\Xml\XmlNode;
use DateTimeImmutable;
use SensitiveParameter;

/** What a server says of a name (RFC 5731 §3.1.2, RFC 3915 §4.1.2, RFC 5910 §5.1.2). To a stranger it says only part of it. */
final readonly class DomainData
{
    /**
     * @param  list<string>  $statuses  of RFC 5731 §2.3 and RFC 3915 §3.1
     * @param  array<string, list<string>>  $contacts  handles by role
     * @param  list<string>  $servers  A-labels in small letters
     * @param  list<string>  $hosts  inside the name
     * @param  list<SigningKey>  $ds
     */
    private function __construct(
        public string $name,
        public string $roid,
        public array $statuses,
        public ?string $registrant,
        public array $contacts,
        public array $servers,
        public array $hosts,
        public string $sponsor,
        public ?DateTimeImmutable $created,
        public ?DateTimeImmutable $updated,
        public ?DateTimeImmutable $ends,
        public ?DateTimeImmutable $moved,
        #[SensitiveParameter] public ?string $code,
        public array $ds,
    ) {
    }

    public static function of(EppResponse $response): self
    {
        $domain = EppNamespace::Domain->value;
        $info = $response->object(EppNamespace::Domain, 'infData');
        $statuses = array_map(fn (XmlNode $status): string => $status->attribute('s') ?? '', $info->children($domain, 'status'));
        foreach (
            $response->extension(EppNamespace::Grace, 'infData')?->children(EppNamespace::Grace->value, 'rgpStatus') ?? [] as $status
        ) {
            $statuses[] = $status->attribute('s') ?? '';
        }
        $contacts = [];
        foreach ($info->children($domain, 'contact') as $contact) {
            $contacts[$contact->attribute('type') ?? ''][] = $contact->text();
        }
        $servers = $info->childOrNull($domain, 'ns');

        return new self(
            strtolower($info->textOf($domain, 'name')),
            $info->textOf($domain, 'roid'),
            array_values(array_unique(array_filter($statuses, fn (string $status): bool => $status !== ''))),
            $info->textOrNull($domain, 'registrant'),
            $contacts,
            array_map(strtolower(...), [
                ...$servers?->texts($domain, 'hostObj') ?? [],
                ...array_map(
                    fn (XmlNode $host): string => $host->textOf($domain, 'hostName'),
                    $servers?->children($domain, 'hostAttr') ?? [],
                ),
            ]),
            array_map(strtolower(...), $info->texts($domain, 'host')),
            $info->textOf($domain, 'clID'),
            $info->timeOrNull($domain, 'crDate'),
            $info->timeOrNull($domain, 'upDate'),
            $info->timeOrNull($domain, 'exDate'),
            $info->timeOrNull($domain, 'trDate'),
            $info->childOrNull($domain, 'authInfo')?->childOrNull($domain, 'pw')?->raw(),
            SigningKey::allOf($response->extension(EppNamespace::SecDns, 'infData')),
        );
    }
}
