<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\UsualRecords;
use Acre\Core\Zone\ZoneCopy;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;

/** What servers have of a zone: all of it where they give it away, else what is known and usual. Used inside `Exchange::each`. */
final readonly class AskedZone
{
    /** Questions that one server gets at once about one name, so that a zone of many hosts doesn't crowd out its neighbours. */
    private const AT_ONCE = 60;

    public function __construct(private Exchange $exchange, private Lookup $lookup)
    {
    }

    /**
     * @param  list<ServerSeen>  $servers
     * @param  list<string>  $giving  hosts that give us whole zones
     * @return ZoneAsked|null of the first that has it to the end
     */
    public function of(string $name, array $servers, ?ZoneCopy $known, array $giving): ?ZoneAsked
    {
        foreach ($servers as $server) {
            $dialled = $server->answer === Answer::Authoritative && $server->address !== null
                ? $this->lookup->dialled($server->address)
                : null;
            $found = $dialled === null
                ? null
                : (in_array($server->host, $giving, true) ? $this->whole($dialled, $server->host, $name) : null) ??
                    $this->usual($dialled, $server->host, $name, $known);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * Only these.
     *
     * @param  list<array{string, string}>  $wanted  host and type
     * @return ZoneCopy|null null: it does not answer for it, or not for all of them
     */
    public function some(string $name, ServerSeen $server, array $wanted): ?ZoneCopy
    {
        $dialled = $server->answer === Answer::Authoritative && $server->address !== null
            ? $this->lookup->dialled($server->address)
            : null;
        $asked = array_combine(array_map(fn (array $one): string => "{$one[0]} {$one[1]}", $wanted), $wanted);
        $answers = $dialled === null ? [] : $this->answers($dialled, $asked);

        return count($answers) === count($asked) && $asked !== [] ? $this->copy($name, $answers, []) : null;
    }

    private function whole(string $dialled, string $host, string $name): ?ZoneAsked
    {
        $records = $this->exchange->transfer($dialled, Name::ofHost($name));
        if ($records === null) {
            return null;
        }
        $keys = array_values(array_filter($records, fn (Record $record): bool => $record->name->host() === $name));

        return new ZoneAsked($host, ZoneCopy::of($name, array_map(self::entry(...), $records)), true, AskedChain::keys($keys));
    }

    private function usual(string $dialled, string $host, string $name, ?ZoneCopy $known): ?ZoneAsked
    {
        $asked = UsualRecords::of($name, $known);
        $answers = $this->answers($dialled, $asked);

        // Of one that falls silent, or has more to hide than to say, nobody knows what it has.
        return count($answers) * 2 > count($asked)
            ? new ZoneAsked(
                $host,
                $this->copy($name, $answers, array_diff_key($asked, $answers)),
                false,
                isset($answers["{$name} DNSKEY"]) ? AskedChain::keys($answers["{$name} DNSKEY"]->answers) : null,
            )
            : null;
    }

    private static function entry(Record $record): Entry
    {
        return new Entry($record->name->host(), RecordType::text($record->type), $record->ttl, (string) $record->data);
    }

    /**
     * @param  array<string, array{string, string}>  $asked  host and type
     * @return array<string, Message> those that say something, by host and type
     */
    private function answers(string $address, array $asked): array
    {
        $all = [];
        foreach (array_chunk($asked, self::AT_ONCE, true) as $some) {
            $answers = $this->exchange->ask(
                array_map(
                    fn (array $one): array => [$address, new Question(Name::ofHost($one[0]), RecordType::number($one[1]) ?? 0)],
                    $some,
                ),
            );
            $answers = array_filter(
                $answers,
                fn (?Message $answer): bool => $answer !== null &&
                    in_array($answer->code, [ResponseCode::OK, ResponseCode::NO_SUCH_NAME], true),
            );
            if ($answers === []) {
                return $all;
            }
            $all = [...$all, ...$answers];
        }

        return $all;
    }

    /**
     * @param  array<string, Message>  $answers
     * @param  array<string, array{string, string}>  $unread
     */
    private function copy(string $name, array $answers, array $unread): ZoneCopy
    {
        $entries = [];
        foreach ($answers as $answer) {
            foreach ($answer->answers as $record) {
                $host = $record->name->host();
                // What an alias leads to elsewhere is another zone's.
                if ($host === $name || str_ends_with($host, ".{$name}")) {
                    $entry = self::entry($record);
                    $entries["{$host} {$entry->type} {$entry->data}"] = $entry;
                }
            }
        }

        return ZoneCopy::of(
            $name,
            array_filter($entries, fn (Entry $entry): bool => ! self::isOfWildcard($name, $entry, $entries)),
            array_merge(...array_map(fn (array $one): array => ["{$one[0]} {$one[1]}", "{$one[0]} CNAME"], array_values($unread))),
        );
    }

    /**
     * Whether a host answers only because every host does (RFC 4592).
     *
     * @param  array<string, Entry>  $entries
     */
    private static function isOfWildcard(string $name, Entry $entry, array $entries): bool
    {
        return ! str_starts_with($entry->host, '*.')
            && substr_count($entry->host, '.') === substr_count($name, '.') + 1
            && isset($entries["*.{$name} {$entry->type} {$entry->data}"]);
    }
}
