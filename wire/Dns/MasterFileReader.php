<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** Reads a zone file from its first line to its last; one that can't be read costs no other. */
final class MasterFileReader
{
    /** What one line may hold: a quoted text, a comment, a parenthesis, a word. */
    private const PART = '/\G(?:[ \t\r\f]+|(;.*)|([()])|("(?:[^"\\\\]|\\\\.)*")|((?:[^\s"();\\\\]|\\\\.)+))/s';

    /** RFC 1035 §5.1. Every server knows more classes; zones of other classes are nobody's here. */
    private const OTHER_CLASSES = ['CH', 'HS', 'CS', 'NONE', 'ANY'];

    private ?Name $owner = null;

    private ?int $lastTtl = null;

    private bool $hasDefault = false;

    /** @var array<string, Name> */
    private array $names = [];

    public function __construct(private ?Name $origin, private ?int $ttl)
    {
    }

    public function read(string $text): MasterFile
    {
        $records = $refused = [];
        $lines = explode("\n", str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text);
        $count = count($lines);
        for ($line = 0; $line < $count; $line++) {
            $first = $line;
            $given = rtrim($lines[$line], "\r");
            try {
                if (strpbrk($given, '"();\\') === false) {
                    $values = preg_split('/[ \t\f]+/', trim($given), -1, PREG_SPLIT_NO_EMPTY);
                    $values = $values === false ? [] : $values;
                } else {
                    $values = $this->values($lines, $line);
                }
                $record = $values === [] ? null : $this->entry($values, preg_match('/\A[ \t]/', $given) === 1);
                if ($record !== null) {
                    $records[] = $record;
                }
            } catch (DnsError $error) {
                $refused[] = new RefusedLine($first + 1, $given, $error->getMessage());
            }
        }

        return new MasterFile($records, $refused);
    }

    /**
     * The values of one entry, over as many lines as its parentheses stay open.
     *
     * @param  list<string>  $lines
     * @return list<string>
     *
     * @throws DnsError
     */
    private function values(array $lines, int &$line): array
    {
        $values = [];
        $open = 0;
        do {
            $text = rtrim($lines[$line], "\r");
            for ($at = 0, $length = strlen($text); $at < $length; $at += strlen($part[0])) {
                if (preg_match(self::PART, $text, $part, 0, $at) !== 1) {
                    throw DnsError::line('A quotation mark or a backslash is not followed by what belongs to it.');
                }
                if (($part[2] ?? '') !== '') {
                    $open += $part[2] === '(' ? 1 : -1;
                    if ($open < 0) {
                        throw DnsError::line('A parenthesis is closed that was not opened.');
                    }
                } elseif (($part[3] ?? '') !== '' || ($part[4] ?? '') !== '') {
                    $values[] = $part[4] ?? $part[3] ?? '';
                }
            }
        } while ($open > 0 && ++$line < count($lines));

        return $open > 0 ? throw DnsError::line('A parenthesis is not closed.') : $values;
    }

    /**
     * @param  non-empty-list<string>  $values
     *
     * @throws DnsError
     */
    private function entry(array $values, bool $continues): ?Record
    {
        if (! $continues && str_starts_with($values[0], '$')) {
            $this->directive($values);

            return null;
        }
        $at = 0;
        if (! $continues) {
            // What can't be read must not leave its records to the name before.
            $this->owner = null;
            $this->owner = $this->name($values[$at++]);
        }
        $owner = $this->owner ?? throw DnsError::line('It has no name, and there is none before it.');
        $ttl = null;
        $hasClass = false;
        for (; isset($values[$at]); $at++) {
            $word = strtoupper($values[$at]);
            if ($ttl === null && ctype_digit($word[0]) && ($seconds = Values::readSeconds($word)) !== null) {
                $ttl = $seconds;
            } elseif (! $hasClass && $word === 'IN') {
                $hasClass = true;
            } elseif (in_array($word, self::OTHER_CLASSES, true)) {
                throw DnsError::line("Only records of class IN are read, and this is of class {$word}.");
            } else {
                break;
            }
        }
        $word = $values[$at] ?? throw DnsError::missing('A record type');
        $type = RecordType::number($word) ?? throw DnsError::type($word);
        $rest = new Values(array_slice($values, $at + 1), $this->origin);
        // Any type may be written as bytes (RFC 3597 §5).
        $data = $rest->ahead() === Data\Unknown::MARK ? $this->fromBytes($type, $rest) : RecordType::dataOf($type)::parse($rest);
        $rest->end();
        if ($ttl === null && ! $this->hasDefault && $data instanceof Data\Soa) {
            $this->ttl ??= $data->minimum;
        }
        $ttl ??= $this->hasDefault ? $this->ttl : $this->lastTtl ?? $this->ttl;
        $this->lastTtl = $ttl;

        return new Record(
            $owner,
            $type,
            $ttl ?? throw DnsError::line('It has no time to live, and neither $TTL nor a record before it says one.'),
            $data,
        );
    }

    /** @throws DnsError */
    private function fromBytes(int $type, Values $values): Data
    {
        $bytes = Data\Unknown::parse($values)->bytes;
        $from = new Octets($bytes);
        $data = RecordType::dataOf($type)::read($from, $from->length);

        return $from->at === $from->length ? $data : throw DnsError::line('Its bytes are more than the fields of its type.');
    }

    /**
     * @param  non-empty-list<string>  $values
     *
     * @throws DnsError
     */
    private function directive(array $values): void
    {
        $rest = new Values(array_slice($values, 1), $this->origin);
        match (strtoupper($values[0])) {
            '$ORIGIN' => $this->setOrigin($rest->name()),
            '$TTL' => $this->setTtl($rest->seconds()),
            '$INCLUDE' => throw DnsError::line('$INCLUDE names another file, and only this one is read.'),
            default => throw DnsError::line("{$values[0]} is no instruction of RFC 1035 or RFC 2308."),
        };
        $rest->end();
    }

    private function setOrigin(Name $origin): void
    {
        $this->origin = $origin;
        $this->names = [];
    }

    private function setTtl(int $seconds): void
    {
        $this->ttl = $seconds;
        $this->hasDefault = true;
    }

    /** @throws DnsError */
    private function name(string $text): Name
    {
        if ($text === '@') {
            return $this->origin ?? throw DnsError::line('@ stands for an origin, and none is known.');
        }
        if (count($this->names) > 1000) {
            $this->names = [];
        }

        return $this->names[$text] ??= Name::of($text, $this->origin);
    }
}
