<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumber;
use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberUtil;

/** A telephone number in the shape of RFC 5733 §2.5: `+44.1632960123`, an extension behind an x. */
final readonly class Phone
{
    private const EPP = '/^\+([0-9]{1,3})\.([0-9]{1,14})(?:x([0-9]{1,10}))?$/D';

    private function __construct(private PhoneNumber $number)
    {
    }

    /**
     * @param  string  $given  as people write it, or as registries do
     * @param  Country|null  $country  of which a number without a country code is
     *
     * @throws ContactError when it can't be a number anywhere
     */
    public static function of(string $given, ?Country $country = null): self
    {
        $util = PhoneNumberUtil::getInstance();
        $text =
            preg_match(self::EPP, trim($given), $part) === 1
                ? '+'.$part[1].$part[2].(isset($part[3]) ? ' ext. '.$part[3] : '')
                : trim($given);
        try {
            $number = $util->parse($text, $country?->code);
        } catch (NumberParseException) {
            throw ContactError::phone($given);
        }
        if (! $util->isPossibleNumber($number) || strlen((string) $number->getExtension()) > 10) {
            throw ContactError::phone($given);
        }

        return new self($number);
    }

    public function epp(): string
    {
        $extension = (string) $this->number->getExtension();

        return '+'.
            $this->number->getCountryCode().
            '.'.
            PhoneNumberUtil::getInstance()->getNationalSignificantNumber($this->number).
            ($extension === '' ? '' : "x{$extension}");
    }

    /** As people read it: `+44 1632 960123`. */
    public function text(): string
    {
        return PhoneNumberUtil::getInstance()->format($this->number, PhoneNumberFormat::INTERNATIONAL);
    }

    /** Whether such numbers are given out at all. One that is not may be for drama, or mistyped. */
    public function isGivenOut(): bool
    {
        return PhoneNumberUtil::getInstance()->isValidNumber($this->number);
    }

    /** Its country code is one of that country's. */
    public function isOf(Country $country): bool
    {
        return in_array(
            $country->code,
            PhoneNumberUtil::getInstance()->getRegionCodesForCountryCode((int) $this->number->getCountryCode()),
            true,
        );
    }
}
