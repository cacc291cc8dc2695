<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlNode;

/** A person's or an organisation's address in one form (RFC 5733 §2.4): in letters of ASCII for everybody, or as it is written there. */
final readonly class PostalInfo
{
    /**
     * @param  bool  $isLocal  `loc`; otherwise `int`, which is ASCII
     * @param  list<string>  $street  three lines at most
     * @param  string  $country  ISO 3166-1, two letters
     */
    public function __construct(
        public bool $isLocal,
        public string $name,
        public ?string $organisation,
        public array $street,
        public string $town,
        public ?string $region,
        public ?string $postcode,
        public string $country,
    ) {
    }

    public static function of(XmlNode $info): self
    {
        $contact = EppNamespace::Contact->value;
        $address = $info->child($contact, 'addr');

        return new self(
            $info->attribute('type') === 'loc',
            $info->textOrNull($contact, 'name') ?? '',
            $info->textOrNull($contact, 'org'),
            $address->texts($contact, 'street'),
            $address->textOrNull($contact, 'city') ?? '',
            $address->textOrNull($contact, 'sp'),
            $address->textOrNull($contact, 'pc'),
            $address->textOrNull($contact, 'cc') ?? '',
        );
    }

    public function write(EppWriter $to): void
    {
        $to->open('contact:postalInfo', ['type' => $this->isLocal ? 'loc' : 'int'], function (EppWriter $to): void {
            $to->text('contact:name', $this->name);
            if ($this->organisation !== null) {
                $to->text('contact:org', $this->organisation);
            }
            $to->open('contact:addr', [], function (EppWriter $to): void {
                $to->texts('contact:street', array_slice($this->street, 0, 3))->text('contact:city', $this->town);
                foreach (['sp' => $this->region, 'pc' => $this->postcode, 'cc' => $this->country] as $element => $text) {
                    if ($text !== null) {
                        $to->text("contact:{$element}", $text);
                    }
                }
            });
        });
    }
}
