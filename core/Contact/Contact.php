<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use Acre\Core\Finding\Finding;

/** Who stands behind names, as a registry would be told (RFC 5733). What is not known is null. */
final readonly class Contact
{
    private const LONGEST = 255;

    private function __construct(
        public HolderKind $kind,
        public ?string $organisation,
        public ?string $person,
        public Address $address,
        public ?Phone $voice,
        public ?Mailbox $mailbox,
        public ?LocalForm $local,
    ) {
    }

    /** @throws ContactError when nobody would be reached by it, or a part is too long */
    public static function of(
        HolderKind $kind,
        ?string $organisation,
        ?string $person,
        ?Address $address = null,
        ?Phone $voice = null,
        ?Mailbox $mailbox = null,
        ?LocalForm $local = null,
    ): self {
        [$organisation, $person] = [Text::line($organisation), Text::line($person)];
        foreach (['organisation' => $organisation, 'person' => $person] as $field => $value) {
            if (mb_strlen((string) $value) > self::LONGEST) {
                throw ContactError::tooLong($field, self::LONGEST);
            }
        }
        if ($organisation === null && $person === null && $mailbox === null) {
            throw ContactError::nobody();
        }

        return new self($kind, $organisation, $person, $address ?? Address::of(), $voice, $mailbox, $local);
    }

    /** The organisation, or else the person; a mailbox has to do where neither is known. */
    public function called(): string
    {
        return $this->organisation ?? ($this->person ?? ($this->mailbox?->address() ?? ''));
    }

    /** What the record would be told of one field; null: nothing. Street lines are joined by commas. */
    public function field(Field $field): ?string
    {
        return match ($field) {
            Field::Name => $this->person,
            Field::Organisation => $this->organisation,
            Field::Street => $this->address->street === [] ? null : implode(', ', $this->address->street),
            Field::Town => $this->address->town,
            Field::Region => $this->address->region,
            Field::Postcode => $this->address->postcode,
            Field::Country => $this->address->country?->code,
            Field::Voice => $this->voice?->epp(),
            Field::Mailbox => $this->mailbox?->address(),
        };
    }

    /** @return list<Field> in which the other says something else */
    public function differs(self $other): array
    {
        return array_values(
            array_filter(
                Field::cases(),
                fn (Field $field): bool => $field === Field::Mailbox && $this->mailbox !== null && $other->mailbox !== null
                    ? ! $this->mailbox->equals($other->mailbox)
                    : $this->field($field) !== $other->field($field),
            ),
        );
    }

    /**
     * What a registrar, or whoever must be reached, would miss or doubt in it.
     *
     * @return list<Finding> dearest first
     */
    public function findings(TakesMail $takesMail = TakesMail::Unknown): array
    {
        $found = [];
        if ($this->mailbox === null) {
            $found[] = Finding::of(ContactFinding::NoMailbox);
        } elseif ($takesMail === TakesMail::No) {
            $found[] = Finding::of(ContactFinding::TakesNoMail, host: $this->mailbox->host->unicode);
        }
        $lacks = array_filter(
            [
                $this->person === null && $this->organisation === null ? 'who it is' : null,
                $this->address->street === [] ? 'street' : null,
                $this->address->town === null ? 'town' : null,
                $this->address->country === null ? 'country' : null,
                $this->voice === null ? 'telephone' : null,
            ],
            is_string(...),
        );
        if ($lacks !== []) {
            $found[] = Finding::of(ContactFinding::Lacks, what: implode(', ', $lacks));
        }
        $country = $this->address->country;
        if (
            $country !== null &&
            ($this->address->postcode !== null || $this->address->street !== []) &&
            ! $country->takes($this->address->postcode)
        ) {
            $found[] =
                $this->address->postcode === null
                    ? Finding::of(ContactFinding::PostcodeLacks, country: $country->name())
                    : Finding::of(ContactFinding::PostcodeElsewhere, postcode: $this->address->postcode, country: $country->name());
        }
        if ($this->voice !== null && ! $this->voice->isGivenOut()) {
            $found[] = Finding::of(ContactFinding::PhoneDoubtful, phone: $this->voice->text());
        } elseif ($this->voice !== null && $country !== null && ! $this->voice->isOf($country)) {
            $found[] = Finding::of(ContactFinding::PhoneElsewhere, phone: $this->voice->text(), country: $country->name());
        }

        return Finding::dearestFirst($found);
    }
}
