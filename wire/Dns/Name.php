<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

use Stringable;

/** A name of the DNS: labels of any bytes (RFC 2181 §11), with the case in which they came. */
final readonly class Name implements Stringable
{
    /** RFC 1035 §2.3.4. */
    public const LONGEST_LABEL = 63;

    /** RFC 1035 §2.3.4: with the length of each label, and the root's. */
    public const LONGEST = 255;

    /** @param  string  $wire  RFC 1035 §3.1, without pointers */
    private function __construct(public string $wire)
    {
    }

    public static function root(): self
    {
        return new self("\0");
    }

    /**
     * @param  string  $text  as zone files write it (RFC 1035 §5.1), with or without its last dot; `.` is the root
     * @param  self|null  $origin  what completes a name without its last dot; null: the root
     *
     * @throws DnsError
     */
    public static function of(string $text, ?self $origin = null): self
    {
        if ($text === '.' || $text === '') {
            return $text === '' ? throw DnsError::name($text, 'it is empty') : self::root();
        }
        $isWhole = str_ends_with($text, '.') && preg_match('/(?<!\\\\)(?:\\\\\\\\)*\\\\\.\z/', $text) !== 1;
        $labels = str_contains($text, '\\') ? self::escaped($text) : explode('.', $isWhole ? substr($text, 0, -1) : $text);
        $wire = '';
        foreach ($labels as $label) {
            $length = strlen($label);
            if ($length === 0 || $length > self::LONGEST_LABEL) {
                throw DnsError::name($text, $length === 0 ? 'a label is empty' : 'a label is longer than 63 bytes');
            }
            $wire .= chr($length).$label;
        }

        return self::fromWire($wire.($isWhole || $origin === null ? "\0" : $origin->wire), $text);
    }

    /**
     * The inverse of `host()`.
     *
     * @throws DnsError
     */
    public static function ofHost(string $host): self
    {
        return $host === '' ? self::root() : self::of("{$host}.");
    }

    /**
     * @param  string  $wire  RFC 1035 §3.1, without pointers
     *
     * @internal whoever read it from a message has held it to the limits
     */
    public static function ofWire(string $wire): self
    {
        return new self($wire);
    }

    /** @throws DnsError */
    private static function fromWire(string $wire, string $given): self
    {
        return strlen($wire) > self::LONGEST ? throw DnsError::name($given, 'it is longer than 255 bytes') : new self($wire);
    }

    /** @return list<string> bytes, from the leaf; the root has none */
    public function labels(): array
    {
        $labels = [];
        for ($at = 0; ($length = ord($this->wire[$at])) > 0; $at += $length + 1) {
            $labels[] = substr($this->wire, $at + 1, $length);
        }

        return $labels;
    }

    /** Lengths stay below the letters, so that small letters don't change them. */
    public function lower(): self
    {
        return new self(strtolower($this->wire));
    }

    public function equals(self $other): bool
    {
        return strtolower($this->wire) === strtolower($other->wire);
    }

    /** Whether it is that zone or lies below it. */
    public function isWithin(self $zone): bool
    {
        $tail = strlen($this->wire) - strlen($zone->wire);
        if ($tail < 0 || substr_compare($this->wire, $zone->wire, $tail, null, true) !== 0) {
            return false;
        }
        $at = 0;
        while ($at < $tail) {
            $at += ord($this->wire[$at]) + 1;
        }

        return $at === $tail;
    }

    /** Null: the root has none. */
    public function parent(): ?self
    {
        return $this->wire === "\0" ? null : new self(substr($this->wire, ord($this->wire[0]) + 1));
    }

    public function isRoot(): bool
    {
        return $this->wire === "\0";
    }

    /** RFC 4034 §6.1: by labels from the root, as bytes in small letters. */
    public function compare(self $other): int
    {
        [$mine, $theirs] = [array_reverse($this->lower()->labels()), array_reverse($other->lower()->labels())];
        foreach ($mine as $place => $label) {
            if (! isset($theirs[$place])) {
                return 1;
            }
            $order = strcmp($label, $theirs[$place]);
            if ($order !== 0) {
                return $order <=> 0;
            }
        }

        return count($mine) <=> count($theirs);
    }

    /** In small letters without its last dot, as the Roll writes hosts; the root is empty. */
    public function host(): string
    {
        return substr(strtolower((string) $this), 0, -1);
    }

    /** As zone files write it (RFC 1035 §5.1), with its last dot. */
    public function __toString(): string
    {
        if ($this->wire === "\0") {
            return '.';
        }
        $text = '';
        foreach ($this->labels() as $label) {
            $text .= (preg_match('/[^\w*-]/', $label) === 1 ? self::escape($label) : $label).'.';
        }

        return $text;
    }

    private static function escape(string $label): string
    {
        return (string) preg_replace_callback(
            '/[^\x21-\x7e]|[."();@$\\\\]/',
            fn (array $byte): string => ctype_graph($byte[0]) ? "\\{$byte[0]}" : sprintf('\\%03d', ord($byte[0])),
            $label,
        );
    }

    /**
     * @return list<string>
     *
     * @throws DnsError
     */
    private static function escaped(string $text): array
    {
        preg_match_all('/\G((?:\\\\(?:\d{3}|\D)|[^.\\\\])+)(?:\.|\z)/s', $text, $found);
        if (strlen(implode('', $found[0])) !== strlen($text)) {
            throw DnsError::name($text, 'a label is empty, or a backslash stands before nothing it could escape');
        }

        return array_map(Values::unescaped(...), $found[1]);
    }
}
