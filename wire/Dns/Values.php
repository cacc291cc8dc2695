<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** The values of one record of a zone file, taken one after the other. */
final class Values
{
    private int $at = 0;

    /**
     * @param  list<string>  $texts  as they stand in the file, with their quotes and escapes
     * @param  Name|null  $origin  what completes names without a last dot
     */
    public function __construct(private readonly array $texts, private readonly ?Name $origin = null)
    {
    }

    public function isEnd(): bool
    {
        return $this->at >= count($this->texts);
    }

    /** The next one, which stays. */
    public function ahead(): ?string
    {
        return $this->texts[$this->at] ?? null;
    }

    /** @throws DnsError */
    public function text(string $expected): string
    {
        return $this->texts[$this->at++] ?? throw DnsError::missing(ucfirst($expected));
    }

    /** @throws DnsError */
    public function name(): Name
    {
        $text = $this->text('a name');

        return $text === '@' && $this->origin !== null ? $this->origin : Name::of($text, $this->origin);
    }

    /** @throws DnsError */
    public function number(int $most): int
    {
        $text = $this->text('a number');

        return ctype_digit($text) && strlen($text) <= 10 && (int) $text <= $most
            ? (int) $text
            : throw DnsError::field($text, "a number from 0 to {$most}");
    }

    /**
     * Seconds, or `1w2d3h4m5s`, which all the usual servers read.
     *
     * @throws DnsError
     */
    public function seconds(): int
    {
        $text = $this->text('a number of seconds');

        return self::readSeconds($text) ?? throw DnsError::field($text, 'a number of seconds');
    }

    public static function readSeconds(string $text): ?int
    {
        if (ctype_digit($text)) {
            return strlen($text) <= 10 && (int) $text <= 0xFFFFFFFF ? (int) $text : null;
        }
        if (preg_match('/\A(?:(\d{1,6})w)?(?:(\d{1,6})d)?(?:(\d{1,6})h)?(?:(\d{1,6})m)?(?:(\d{1,9})s)?\z/i', $text, $found) !== 1) {
            return null;
        }
        $seconds = 0;
        foreach ([604_800, 86_400, 3600, 60, 1] as $place => $unit) {
            $seconds += (int) ($found[$place + 1] ?? 0) * $unit;
        }

        return $text !== '' && $seconds <= 0xFFFFFFFF ? $seconds : null;
    }

    /**
     * A text of at most 255 bytes, its quotes taken off and its escapes resolved (RFC 1035 §5.1).
     *
     * @throws DnsError
     */
    public function string(): string
    {
        $bytes = $this->longString();

        return strlen($bytes) <= 255 ? $bytes : throw DnsError::field($bytes, 'no longer than 255 bytes');
    }

    /**
     * A text without its quotes and escapes, of any length.
     *
     * @throws DnsError
     */
    public function longString(): string
    {
        $text = $this->text('a text');

        return self::unescaped(str_starts_with($text, '"') ? substr($text, 1, -1) : $text);
    }

    /**
     * @param  string  $text  with `\.` for a byte as it is, and `\046` for its number
     *
     * @throws DnsError
     */
    public static function unescaped(string $text): string
    {
        return ! str_contains($text, '\\')
            ? $text
            : (string) preg_replace_callback(
                '/\\\\(?:(\d{3})|(.)|\z)/s',
                fn (array $found): string => match (true) {
                    ($found[2] ?? '') !== '' => $found[2],
                    ($found[1] ?? '') !== '' && (int) $found[1] <= 255 => chr((int) $found[1]),
                    default => throw DnsError::field($found[0], 'a byte, from \000 to \255'),
                },
                $text,
            );
    }

    /** As it is written between quotes. */
    public static function quoted(string $bytes): string
    {
        return '"'.preg_replace_callback(
            '/[^\x20-\x7e]|["\\\\]/',
            fn (array $byte): string => $byte[0] === '"' || $byte[0] === '\\' ? "\\{$byte[0]}" : sprintf('\\%03d', ord($byte[0])),
            $bytes,
        ).'"';
    }

    /**
     * The rest in hexadecimal digits, with blanks wherever somebody put them.
     *
     * @throws DnsError
     */
    public function hex(): string
    {
        $text = $this->joined();
        $bytes = strlen($text) % 2 === 0 && ctype_xdigit($text) ? hex2bin($text) : false;

        return $bytes === false ? throw DnsError::field($text, 'hexadecimal digits, two a byte') : $bytes;
    }

    /**
     * The rest in Base 64 (RFC 4648 §4).
     *
     * @throws DnsError
     */
    public function base64(): string
    {
        $text = $this->joined();
        $bytes = base64_decode($text, true);

        return $bytes === false ? throw DnsError::field($text, 'Base 64') : $bytes;
    }

    /**
     * The rest as types of records.
     *
     * @return list<int>
     *
     * @throws DnsError
     */
    public function types(): array
    {
        $types = [];
        while (! $this->isEnd()) {
            $text = $this->text('a type');
            $types[] = RecordType::number($text) ?? throw DnsError::type($text);
        }

        return $types;
    }

    private function joined(): string
    {
        $text = implode('', array_slice($this->texts, $this->at));
        $this->at = count($this->texts);

        return $text;
    }

    /** @throws DnsError */
    public function end(): void
    {
        if (! $this->isEnd()) {
            throw DnsError::extra($this->texts[$this->at]);
        }
    }
}
