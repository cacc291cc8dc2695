<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Zone\RecordsWanted;
use Acre\Core\Zone\SetWanted;
use Acre\Wire\Dns\MasterFile;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\RecordType;

/** Changes of records as people type them: lines of a zone file, and a dash before what goes. */
final class RecordsTyped
{
    /** Stands for whichever zone it is. */
    private const ZONE = 'zone.invalid';

    private const MOST = 100;

    /**
     * @param  list<string>  $wrong  what could not be read, and why
     */
    private function __construct(public RecordsWanted $wanted, public array $wrong)
    {
    }

    /** @param  string  $text  `www A 192.0.2.1`, `@ 300 MX 10 mail.example.`, `- old CNAME` */
    public static function read(string $text): self
    {
        $wrong = [];
        /** @var array<string, array{string, string, int|null, list<string>}> $sets */
        $sets = [];
        foreach (array_slice(explode("\n", strtr($text, "\r", "\n")), 0, self::MOST) as $line) {
            $line = self::ascii(trim($line));
            if ($line === '') {
                continue;
            }
            if (preg_match('/\A-\s*(\S+)\s+([A-Za-z][A-Za-z0-9]*)\z/', $line, $found) === 1 && RecordType::number($found[2]) !== null) {
                $host = $found[1] === '@' ? '' : strtolower($found[1]);
                $sets["{$host} ".strtoupper($found[2])] = [$host, strtoupper($found[2]), null, []];

                continue;
            }
            $file = MasterFile::read($line, Name::ofHost(self::ZONE), 0);
            $record = $file->records[0] ?? null;
            if ($record === null || ! $record->name->isWithin(Name::ofHost(self::ZONE))) {
                $wrong[] = mb_substr($line, 0, 100).': '.($file->refused[0]->why ?? 'it lies outside the names that are chosen');

                continue;
            }
            $host = substr($record->name->host(), 0, -strlen(self::ZONE) - 1);
            $type = RecordType::text($record->type);
            $before = $sets["{$host} {$type}"][3] ?? [];
            // What is said to belong to the zone belongs to each name's own.
            $sets["{$host} {$type}"] = [$host, $type, $record->ttl === 0 ? null : $record->ttl, [...$before, (string) $record->data]];
        }

        return new self(new RecordsWanted(array_values(array_map(
            fn (array $one): SetWanted => new SetWanted(...$one),
            $sets,
        ))), $wrong);
    }

    /** Hosts in other alphabets as the DNS has them (RFC 5890); texts stay as they are. */
    private static function ascii(string $line): string
    {
        return (string) preg_replace_callback(
            '/(?<![^\s.])[^\s."]*[^\x00-\x7F\s."][^\s."]*(?=[^"]*$)/u',
            function (array $found): string {
                $ascii = idn_to_ascii($found[0], IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);

                return $ascii === false ? $found[0] : $ascii;
            },
            $line,
        );
    }

    /** Of a zone: what names it by itself means that zone. */
    public static function of(RecordsWanted $wanted, string $zone): RecordsWanted
    {
        return new RecordsWanted(array_map(
            fn (SetWanted $set): SetWanted => new SetWanted(
                $set->host,
                $set->type,
                $set->ttl,
                array_map(fn (string $data): string => str_replace(self::ZONE.'.', "{$zone}.", $data), $set->data),
            ),
            $wanted->sets,
        ));
    }
}
