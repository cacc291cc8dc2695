<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Dnssec\Key;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\UsualRecords;
use Acre\Core\Zone\ZoneCopy;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;
use App\Support\TradeClock;

/** What a name's present servers and other ones say of it. Used inside `Exchange::each`. */
final readonly class AskedChange
{
    /** Questions that one server gets at once about one name, so that a zone of many hosts doesn't crowd out its neighbours. */
    private const AT_ONCE = 60;

    public function __construct(
        private Exchange $exchange,
        private Lookup $lookup,
        private AskedDelegation $delegation,
        private TradeClock $clock,
    ) {
    }

    public function of(ChangeWanted $wanted): ChangeSeen
    {
        $name = $wanted->name->ascii;
        $standing = $this->delegation->of($name);
        // A name on hold is delegated to nobody, and its zone is still where it was.
        [$before] = $this->zone(
            $name,
            $standing->parent === [] ? $this->servers($name, $wanted->ours) : $standing->servers,
            $wanted->known,
        );
        $servers = $this->servers($name, $wanted->to);
        // What only the old ones are known to have is what may be lost.
        [$after, $keys] = $this->zone($name, $servers, $before ?? $wanted->known);

        return new ChangeSeen($standing, $before, $servers, $after, $standing->delegates, $keys, $this->clock->now());
    }

    /** @return list<ServerSeen> */
    private function servers(string $name, ServerSet $set): array
    {
        $places = [];
        foreach ($set->servers as $server) {
            // What a letter says of a host elsewhere is only a hint: the world asks the host's own zone.
            array_push($places, ...$this->delegation->places($server->host, $server->isWithin($name) ? $server->addresses : []));
        }

        return $this->delegation->servers($name, $places);
    }

    /**
     * @param  list<ServerSeen>  $servers
     * @return array{ZoneCopy|null, list<Key>|null} of the first that answers for it to the end
     */
    private function zone(string $name, array $servers, ?ZoneCopy $known): array
    {
        foreach ($servers as $server) {
            $dialled = $server->answer === Answer::Authoritative && $server->address !== null
                ? $this->lookup->dialled($server->address)
                : null;
            $asked = UsualRecords::of($name, $known);
            $answers = $dialled === null ? [] : $this->answers($dialled, $asked);
            // Of one that falls silent, or has more to hide than to say, nobody knows what it has.
            if (count($answers) * 2 > count($asked)) {
                return [
                    $this->copy($name, $answers, array_diff_key($asked, $answers)),
                    isset($answers["{$name} DNSKEY"]) ? AskedChain::keys($answers["{$name} DNSKEY"]) : null,
                ];
            }
        }

        return [null, null];
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
                    $type = RecordType::text($record->type);
                    $entries["{$host} {$type} {$record->data}"] = new Entry($host, $type, $record->ttl, (string) $record->data);
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
