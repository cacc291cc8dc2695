<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Dnssec\Chain;
use Acre\Core\Dnssec\ChainState;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\Key;
use Acre\Core\Dnssec\RecordSet;
use Acre\Core\Dnssec\Signature;
use Acre\Core\Dnssec\SignedSet;
use Acre\Wire\Dns\Data\Dnskey;
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
     * @param  list<ServerSeen>  $servers
     * @return Chain|null the worst of what they say; null: nobody could be asked
     */
    public function of(string $name, ?array $delegates, array $servers): ?Chain
    {
        $addresses = [];
        foreach ($servers as $server) {
            if ($server->answer === Answer::Authoritative && $server->address !== null) {
                $addresses[] = $this->lookup->dialled($server->address);
            }
        }
        $addresses = array_slice(array_values(array_unique(array_filter($addresses, is_string(...)))), 0, self::MOST_SERVERS);
        $found = null;
        // Where the registry has no DS nobody proves anything, so one server's word is enough.
        foreach ($delegates === [] ? array_slice($addresses, 0, 1) : $addresses as $address) {
            $one = $this->at($address, $name, $delegates);
            if ($found === null || $one->state === ChainState::Dark || $found->state === ChainState::NotKnown) {
                $found = $one;
            }
            if ($found->state === ChainState::Dark) {
                break;
            }
        }

        return $found;
    }

    /** @param  list<Delegate>|null  $delegates */
    private function at(string $address, string $name, ?array $delegates): Chain
    {
        $types = $delegates === [] ? [RecordType::DNSKEY] : [RecordType::DNSKEY, ...self::PROVED];
        $answers = $this->exchange->ask(
            array_combine(
                array_map(fn (RecordType $type): string => $type->name, $types),
                array_map(fn (RecordType $type): array => [$address, Lookup::question($name, $type), $delegates !== []], $types),
            ),
        );
        $zone = Name::ofHost($name)->lower();
        $keys = $answers['DNSKEY'] ?? null;
        $others = [];
        foreach (array_diff_key($answers, ['DNSKEY' => true]) as $type => $answer) {
            $set = $answer === null ? null : self::set($zone, RecordType::number((string) $type) ?? 0, $answer);
            if ($set !== null) {
                $others[] = $set;
            }
        }

        return Chain::judge(
            $zone->wire,
            $delegates,
            $keys === null ? null : self::keys($keys->answers),
            ($keys === null ? null : self::set($zone, RecordType::DNSKEY->value, $keys)) ??
                new SignedSet(new RecordSet($zone->wire, RecordType::DNSKEY->value, []), []),
            $others,
            $this->clock->now(),
        );
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
