<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/** Where a contact gets letters on paper (RFC 5733 §2.4); a box at the post office is a good one. All parts may lack. */
final readonly class Address
{
    /** RFC 5733 §4: postalLineType, optPostalLineType and pcType. */
    private const LINE = 255;

    private const POSTCODE = 16;

    /** @param  list<string>  $street  three lines at most */
    private function __construct(
        public array $street,
        public ?string $town,
        public ?string $region,
        public ?string $postcode,
        public ?Country $country,
    ) {
    }

    /**
     * @param  list<string>  $street
     *
     * @throws ContactError which part is too much
     */
    public static function of(
        array $street = [],
        ?string $town = null,
        ?string $region = null,
        ?string $postcode = null,
        ?Country $country = null,
    ): self {
        $street = array_values(array_filter(array_map(Text::line(...), $street), is_string(...)));
        if (count($street) > 3) {
            throw ContactError::streets(count($street));
        }
        [$town, $region, $postcode] = [Text::line($town), Text::line($region), Text::line($postcode)];
        foreach (
            [
                'town' => $town,
                'region' => $region,
                ...array_combine(array_map(fn (int $n): string => "street.{$n}", array_keys($street)), $street),
            ] as $field => $value
        ) {
            if (mb_strlen((string) $value) > self::LINE) {
                throw ContactError::tooLong(explode('.', $field)[0], self::LINE);
            }
        }
        if (mb_strlen((string) $postcode) > self::POSTCODE) {
            throw ContactError::tooLong('postcode', self::POSTCODE);
        }

        return new self($street, $town, $region, $postcode, $country);
    }

    public function isEmpty(): bool
    {
        return $this->street === [] &&
            $this->town === null &&
            $this->region === null &&
            $this->postcode === null &&
            $this->country === null;
    }

    /** @return list<string> as it stands on an envelope */
    public function lines(): array
    {
        return array_values(
            array_filter(
                [...$this->street, trim("{$this->town} {$this->postcode}"), $this->region, $this->country?->name()],
                fn (?string $line): bool => $line !== null && $line !== '',
            ),
        );
    }
}
