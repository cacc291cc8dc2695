<?php

declare(strict_types=1);

namespace Acre\Core\Name;

use JsonSerializable;

/**
 * A domain name below a public suffix, however it was pasted, in both its forms.
 *
 * UTS 46, non-transitional, with the length limits of RFC 1035 §2.3.4.
 */
final readonly class DomainName implements JsonSerializable
{
    private const FLAGS = IDNA_NONTRANSITIONAL_TO_ASCII | IDNA_CHECK_BIDI | IDNA_CHECK_CONTEXTJ | IDNA_USE_STD3_RULES;

    /** What is pasted around a name and is none of it: blanks, quotes, brackets, and characters that nobody sees (Unicode's Cf). */
    private const AROUND = '\s\p{Z}\p{Cf}"\'“”„‘’‚‛«»‹›<>(){}\[\]';

    /**
     * @param  non-empty-list<string>  $labels  A-labels, leftmost first
     * @param  string  $ascii  what DNS carries: lower case, A-labels, no trailing dot
     * @param  string  $unicode  the same with U-labels
     */
    private function __construct(
        public array $labels,
        public string $ascii,
        public string $unicode,
        private int $suffixLength,
        private string $suffix,
    ) {
    }

    /**
     * Takes what people paste: capitals, blanks, quotes, brackets and invisible characters around, a trailing dot, a web address, U-labels
     * and
     * A-labels.
     *
     * @throws NameError which label is wrong, and why
     */
    public static function of(string $pasted): self
    {
        $text = self::strip($pasted);
        if ($text === '') {
            throw NameError::blank();
        }
        if (str_contains($text, '@')) {
            throw NameError::mailbox($text);
        }
        if (filter_var(trim($text, '[]'), FILTER_VALIDATE_IP) !== false) {
            throw NameError::address($text);
        }
        if (preg_match('/[\s\p{Z}]/u', $text) === 1) {
            throw NameError::blankInside($text);
        }
        $parts = explode('.', $text);
        if (in_array('', $parts, true)) {
            throw NameError::emptyLabel($text);
        }
        if (count($parts) === 1) {
            throw NameError::oneLabel($text);
        }
        $labels = $unicode = [];
        foreach ($parts as $part) {
            [$labels[], $unicode[]] = self::label($part);
        }
        $ascii = implode('.', $labels);
        if (strlen($ascii) > 253) {
            throw NameError::tooLong(strlen($ascii));
        }
        if (ctype_digit($labels[count($labels) - 1])) {
            throw NameError::numericSuffix($ascii);
        }
        $length = Suffixes::length($labels);
        if ($length >= count($labels)) {
            throw NameError::suffixAlone($ascii);
        }

        return new self($labels, $ascii, implode('.', $unicode), $length, implode('.', array_slice($labels, -$length)));
    }

    /** The public suffix: `co.uk`. */
    public function suffix(): string
    {
        return $this->suffix;
    }

    /** The part that is registered: `example.co.uk` of `www.example.co.uk`. */
    public function registrable(): self
    {
        $keep = $this->suffixLength + 1;
        if ($keep === count($this->labels)) {
            return $this;
        }
        /** @var non-empty-list<string> $labels */
        $labels = array_slice($this->labels, -$keep);

        return new self(
            $labels,
            implode('.', $labels),
            implode('.', array_slice(explode('.', $this->unicode), -$keep)),
            $this->suffixLength,
            $this->suffix,
        );
    }

    public function isRegistrable(): bool
    {
        return count($this->labels) === $this->suffixLength + 1;
    }

    public function equals(self $other): bool
    {
        return $this->ascii === $other->ascii;
    }

    /**
     * What UTS 46 takes but registries are likely to refuse.
     *
     * @return list<array{NameFinding, string}> the finding and the label or suffix it is about
     */
    public function findings(): array
    {
        $found = [];
        foreach (explode('.', $this->unicode) as $place => $label) {
            if (preg_match('/[^\p{L}\p{M}\p{Nd}\-\x{00B7}\x{0375}\x{05F3}\x{05F4}\x{30FB}\x{3007}\x{200C}\x{200D}]/u', $label) === 1) {
                $found[] = [NameFinding::SymbolInLabel, $label];
            }
            if (self::scripts($label) > 1) {
                $found[] = [NameFinding::MixedScripts, $label];
            }
            if (substr($this->labels[$place], 2, 2) === '--' && ! str_starts_with($this->labels[$place], 'xn--')) {
                $found[] = [NameFinding::ReservedHyphens, $label];
            }
        }
        if (! Suffixes::knows($this->suffix()) && $this->suffixLength === 1) {
            $found[] = [NameFinding::UnknownSuffix, $this->suffix()];
        }

        return $found;
    }

    public function jsonSerialize(): string
    {
        return $this->ascii;
    }

    private static function strip(string $pasted): string
    {
        $text = preg_replace('/^['.self::AROUND.']+|['.self::AROUND.']+$/u', '', $pasted);
        if ($text === null) {
            throw NameError::label(mb_scrub($pasted), 'is not text in UTF-8.');
        }
        if (preg_match('~^[a-z][a-z0-9+.-]*://(?:[^/?#]*@)?([^/?#:]*)~i', $text, $address) === 1) {
            $text = $address[1];
        } elseif (preg_match('~^([^\s/:@]+)(?::\d+)?(?:[/?#].*)?$~su', $text, $address) === 1) {
            $text = $address[1];
        }
        // The full stops that UTS 46 maps to the plain one.
        $text = str_replace(["\u{3002}", "\u{FF0E}", "\u{FF61}"], '.', $text);

        return str_ends_with($text, '.') ? substr($text, 0, -1) : $text;
    }

    /** @return array{string, string} A-label and U-label */
    private static function label(string $part): array
    {
        if (preg_match('/^[a-z0-9]([a-z0-9-]*[a-z0-9])?$/iD', $part) === 1 && strlen($part) <= 63 && stripos($part, 'xn--') !== 0) {
            return [strtolower($part), strtolower($part)];
        }
        if (str_contains($part, '_')) {
            throw NameError::label($part, 'has an underscore: host names may carry one, registered names may not.');
        }
        $info = null;
        $ascii = idn_to_ascii($part, self::FLAGS, INTL_IDNA_VARIANT_UTS46, $info);
        /** @var array{result?: string, errors?: int}|null $info */
        $errors = $info['errors'] ?? 0;
        if ($ascii === false || $errors !== 0) {
            throw NameError::label($part, self::why($errors, $part));
        }
        $unicode = idn_to_utf8($ascii, IDNA_NONTRANSITIONAL_TO_UNICODE, INTL_IDNA_VARIANT_UTS46);
        if ($unicode === false) {
            throw NameError::label($part, 'can’t be read as an internationalised label.');
        }

        return [$ascii, $unicode];
    }

    private static function why(int $errors, string $part): string
    {
        return match (true) {
            ($errors & IDNA_ERROR_EMPTY_LABEL) !== 0 => 'is empty once it is written as DNS does.',
            ($errors & (IDNA_ERROR_LABEL_TOO_LONG | IDNA_ERROR_DOMAIN_NAME_TOO_LONG)) !== 0 || strlen($part) > 255 => 'is longer than the '
                .'63 characters that DNS can carry.',
            ($errors & (IDNA_ERROR_LEADING_HYPHEN | IDNA_ERROR_TRAILING_HYPHEN)) !== 0 => 'begins or ends with a hyphen.',
            ($errors & IDNA_ERROR_HYPHEN_3_4) !== 0 => 'has hyphens in the third and fourth place, which are kept for encodings.',
            ($errors & IDNA_ERROR_LEADING_COMBINING_MARK) !== 0 => 'begins with an accent that has no letter to stand on.',
            ($errors & (IDNA_ERROR_PUNYCODE | IDNA_ERROR_INVALID_ACE_LABEL)) !== 0 => 'begins with xn-- but is not the encoding of any '
                .'label.',
            ($errors & IDNA_ERROR_BIDI) !== 0 => 'mixes directions of writing in a way that can’t be read unambiguously.',
            ($errors & IDNA_ERROR_CONTEXTJ) !== 0 => 'has a joining character where none may stand.',
            default => 'has a character that no name may carry.',
        };
    }

    private static function scripts(string $label): int
    {
        $scripts = 0;
        // Han stands beside the Japanese and Korean scripts in one language (UTS 39 §5.1), so those count as one.
        foreach (['Latin', 'Greek', 'Cyrillic', 'Armenian', 'Hebrew', 'Arabic', 'Devanagari', 'Thai', 'Georgian'] as $script) {
            $scripts += (int) (preg_match('/\p{'.$script.'}/u', $label) === 1);
        }

        return $scripts + (int) (preg_match('/[\p{Han}\p{Hiragana}\p{Katakana}\p{Hangul}\p{Bopomofo}]/u', $label) === 1 && $scripts === 0);
    }
}
