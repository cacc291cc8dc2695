<?php

declare(strict_types=1);

namespace Standin\Dns;

use Acre\Wire\Dns\Data\Nsec;
use Acre\Wire\Dns\Data\Rrsig;
use Acre\Wire\Dns\Data\Types;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;
use Standin\WorldClock;

/**
 * Adds to answers what proves them: signatures, and of what is not that it is not, in records made for each question (RFC 4035,
 * RFC 4470).
 */
final class Signing
{
    private const NEGATIVE_TTL = 300;

    /** Signatures that are remembered; they are made once an hour. */
    private const REMEMBERED = 5_000;

    /** @var array<string, Record> */
    private array $made = [];

    public function __construct(private readonly WorldClock $clock)
    {
    }

    public function complete(Reply $reply, Name $asked): void
    {
        $by = $reply->by;
        if ($by === null || ! in_array($reply->code, [ResponseCode::OK, ResponseCode::NO_SUCH_NAME], true)) {
            return;
        }
        if (! $reply->isAuthoritative) {
            $this->referral($reply, $by);

            return;
        }
        $reply->answers = $this->signed($reply->answers, $by, $reply->wild);
        $reply->authority = $this->signed($reply->authority, $by, []);
        if ($reply->authority === []) {
            // What a wildcard answers must prove that there is nothing nearer (RFC 4035 §3.1.3.3).
            foreach (array_keys($reply->wild) as $owner) {
                array_push($reply->authority, ...$this->proof($by, self::covering((string) $owner), []));
            }

            return;
        }
        array_push(
            $reply->authority,
            ...$reply->code === ResponseCode::OK
                ? $this->proof($by, [$asked, self::after($asked)], $reply->has)
                : [
                    ...$this->proof($by, self::covering($reply->nearest), []),
                    ...$this->proof($by, self::covering('*'.($reply->closest === '' ? '' : ".{$reply->closest}")), []),
                ],
        );
    }

    /** Delegations to others are not signed here; whether its keys are known is (RFC 4035 §3.1.4). */
    private function referral(Reply $reply, SignedZone $by): void
    {
        if ($reply->cut === '') {
            return;
        }
        $cut = Name::ofHost($reply->cut);
        array_push(
            $reply->authority,
            ...$reply->delegates === []
                ? $this->proof($by, [$cut, self::after($cut)], [RecordType::NS->value])
                : $this->signed($reply->delegates, $by, []),
        );
    }

    /**
     * @param  array{Name, Name}  $span  from one name to the next
     * @param  list<int>  $types  that the first has
     * @return list<Record>
     */
    private function proof(SignedZone $by, array $span, array $types): array
    {
        $types = Types::of([...$types, RecordType::RRSIG->value, RecordType::NSEC->value]);

        return $this->signed([new Record($span[0], RecordType::NSEC->value, self::NEGATIVE_TTL, new Nsec($span[1], $types))], $by, []);
    }

    /**
     * Right before a name, and right after it and all that lies below it. What a host can be called has none of these letters.
     *
     * @return array{Name, Name}
     */
    private static function covering(string $host): array
    {
        $labels = explode('.', $host);
        $first = array_shift($labels);
        $last = strlen($first) - 1;
        $before = substr($first, 0, $last).chr(ord($first[$last]) - 1).'~';
        $below = fn (string $label): Name => self::below($label, implode('.', $labels));

        return [$below(substr($before, 0, 63)), $below(substr($first, 0, 62)."\0")];
    }

    /** Right after a name, before anything below it. */
    private static function after(Name $name): Name
    {
        return Name::ofWire("\1\0".$name->lower()->wire);
    }

    private static function below(string $label, string $parent): Name
    {
        return Name::ofWire(chr(strlen($label)).$label.Name::ofHost($parent)->lower()->wire);
    }

    /**
     * @param  list<Record>  $records
     * @param  array<string, string>  $wild  the wildcard's name by that of whom it answers for
     * @return list<Record> with their signatures, each set's behind it
     */
    private function signed(array $records, SignedZone $by, array $wild): array
    {
        $origin = Name::ofHost($by->origin);
        $sets = [];
        foreach ($records as $record) {
            $sets[strtolower($record->name->wire).$record->type][] = $record;
        }
        $all = [];
        foreach ($sets as $set) {
            array_push($all, ...$set);
            if ($set[0]->name->isWithin($origin)) {
                $all[] = $this->signature($set, $by, $wild[$set[0]->name->host()] ?? null);
            }
        }

        return $all;
    }

    /** @param  non-empty-list<Record>  $set */
    private function signature(array $set, SignedZone $by, ?string $wildcard): Record
    {
        $signer = Name::ofHost($by->origin)->lower();
        $owner = $wildcard === null ? $set[0]->name->lower() : Name::ofHost($wildcard);
        $labels = count($owner->labels()) - (($owner->labels()[0] ?? '') === '*' ? 1 : 0);
        $now = $this->clock->now();
        $from = $now - $now % 3_600 - 86_400;
        $until = $by->lasts > 0 ? $now - $now % 3_600 + max(3_600, $by->lasts) : $now + $by->lasts;
        $type = $set[0]->type;
        $head =
            pack('nCCNNNn', $type, $by->key->algorithm(), $labels, $set[0]->ttl, $until, min($from, $until - 86_400), $by->key->tag()).
            $signer->wire;
        $data = array_values(array_unique(array_map(fn (Record $record): string => $record->canonicalData(), $set)));
        sort($data, SORT_STRING);
        $bytes = $head;
        foreach ($data as $one) {
            $bytes .= $owner->wire.pack('nnNn', $type, 1, $set[0]->ttl, strlen($one)).$one;
        }
        $key = hash('xxh128', $bytes.$set[0]->name->wire);
        if (isset($this->made[$key])) {
            return $this->made[$key];
        }
        if (count($this->made) > self::REMEMBERED) {
            $this->made = [];
        }
        $signature = $by->key->sign($bytes);
        if (in_array($type, $by->garbled, true)) {
            $signature = ~$signature;
        }

        return $this->made[$key] = new Record(
            $set[0]->name,
            RecordType::RRSIG->value,
            $set[0]->ttl,
            new Rrsig(
                $type,
                $by->key->algorithm(),
                $labels,
                $set[0]->ttl,
                $until,
                min($from, $until - 86_400),
                $by->key->tag(),
                $signer,
                $signature,
            ),
        );
    }
}
