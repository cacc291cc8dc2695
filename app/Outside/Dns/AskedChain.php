<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Dnssec\Chain;
use Acre\Core\Dnssec\ChainState;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\Key;
use Acre\Core\Dnssec\KeysSeen;
use Acre\Core\Dnssec\RecordSet;
use Acre\Core\Dnssec\Signature;
use Acre\Core\Dnssec\SignedSet;
use Acre\Wire\Dns\Data\Dnskey;
use Acre\Wire\Dns\Data\Ds;
use Acre\Wire\Dns\Data\Rrsig;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use App\Support\TradeClock;

/** Whether what a name's servers say can be proved from its registry's DS. Used inside `Exchange::each`. */
final readonly class AskedChain
{
    /** Of the zone itself: what visitors and mail need first. */
    private const PROVED = [RecordType::SOA, RecordType::NS, RecordType::A, RecordType::MX];

    /** Servers that are asked; one that is not signed anew in time is enough to be dark for some. */
    private const MOST_SERVERS = 4;

    public function __construct(private Exchange $exchange, private Lookup $lookup, private TradeClock $clock)
    {
    }

    /**
     * @param  list<Delegate>|null  $delegates
     * @param  int|null  $ttl  seconds for which a DS may be kept
     * @param  list<ServerSeen>  $servers
     * @return array{Chain|null, KeysSeen|null} the worst of what they say, and their keys; null: nobody could be asked
     */
    public function of(string $name, ?array $delegates, ?int $ttl, array $servers): array
    {
        $addresses = [];
        foreach ($servers as $server) {
            if ($server->answer === Answer::Authoritative && $server->address !== null) {
                $addresses[] = $this->lookup->dialled($server->address);
            }
        }
        $addresses = array_slice(array_values(array_unique(array_filter($addresses, is_string(...)))), 0, self::MOST_SERVERS);
        $found = $seen = null;
        // Where nobody proves anything one server's word is enough; one of several that breaks is dark for some.
        foreach ($addresses as $address) {
            $keys = $this->keysAt($address, $name);
            [$chain, $prospect, $wanted] = $this->at($address, $name, $delegates, $keys);
            $seen ??= new KeysSeen(
                Name::ofHost($name)->lower()->wire,
                $delegates,
                $keys === null ? null : self::keys($keys->answers),
                $wanted,
                $prospect,
                $ttl,
                $this->clock->now(),
            );
            if ($found === null || $chain->state === ChainState::Dark || $found->state === ChainState::NotKnown) {
                $found = $chain;
            }
            if ($found->state === ChainState::Dark || $found->state === ChainState::Unsigned) {
                break;
            }
        }

        return [$found, $seen];
    }

    private function keysAt(string $address, string $name): ?Message
    {
        return $this->exchange->ask(['it' => [$address, Lookup::question($name, RecordType::DNSKEY), true]])['it'];
    }

    /**
     * @param  list<Delegate>|null  $delegates
     * @return array{Chain, Chain|null, list<Delegate>} as it is; as it would be with the DS that it should have; and what it asks for
     */
    private function at(string $address, string $name, ?array $delegates, ?Message $asked): array
    {
        $zone = Name::ofHost($name)->lower();
        $keys = $asked === null ? null : self::keys($asked->answers);
        $keySet = ($asked === null ? null : self::set($zone, RecordType::DNSKEY->value, $asked)) ??
            new SignedSet(new RecordSet($zone->wire, RecordType::DNSKEY->value, []), []);
        $others = $wanted = [];
        if ($keys !== [] && $keys !== null) {
            $answers = $this->exchange->ask(
                array_map(
                    fn (RecordType $type): array => [$address, Lookup::question($name, $type), true],
                    [...self::PROVED, RecordType::CDS],
                ),
            );
            foreach (self::PROVED as $place => $type) {
                $set = isset($answers[$place]) ? self::set($zone, $type->value, $answers[$place]) : null;
                $others = [...$others, ...$set === null ? [] : [$set]];
            }
            $wanted = self::delegates($answers[count(self::PROVED)] ?? null, RecordType::CDS);
        }
        $now = $this->clock->now();
        $target = (new KeysSeen($zone->wire, $delegates, $keys, $wanted, null, null, $now))->target();

        return [
            Chain::judge($zone->wire, $delegates, $keys, $keySet, $others, $now),
            $keys === [] || $keys === null ? null : Chain::judge($zone->wire, $target, $keys, $keySet, $others, $now),
            $wanted,
        ];
    }

    /** @return list<Delegate> */
    public static function delegates(?Message $answer, RecordType $type): array
    {
        $found = [];
        foreach ($answer->answers ?? [] as $record) {
            $data = $record->data;
            if ($record->type === $type->value && $data instanceof Ds) {
                $found[] = new Delegate($data->tag, $data->algorithm, $data->digestType, $data->digest);
            }
        }

        return $found;
    }

    /** @return SignedSet|null null: it has no such records itself, as with an alias */
    private static function set(Name $zone, int $type, Message $answer): ?SignedSet
    {
        $data = $signatures = [];
        foreach ($answer->answers as $record) {
            if (! $record->name->equals($zone)) {
                continue;
            }
            if ($record->type === $type) {
                $data[] = $record->canonicalData();
            } elseif ($record->data instanceof Rrsig && $record->data->covered === $type) {
                $signatures[] = self::signature($record->data);
            }
        }

        return $data === [] ? null : new SignedSet(new RecordSet($zone->wire, $type, $data), $signatures);
    }

    private static function signature(Rrsig $one): Signature
    {
        return new Signature(
            $one->covered,
            $one->algorithm,
            $one->labels,
            $one->ttl,
            $one->until,
            $one->from,
            $one->tag,
            $one->signer->lower()->wire,
            $one->signature,
        );
    }

    /**
     * @param  list<Record>  $records
     * @return list<Key>
     */
    public static function keys(array $records): array
    {
        $keys = [];
        foreach ($records as $record) {
            $data = $record->data;
            if ($record->type === RecordType::DNSKEY->value && $data instanceof Dnskey) {
                $keys[] = new Key($data->flags, $data->protocol, $data->algorithm, $data->key);
            }
        }

        return $keys;
    }
}
