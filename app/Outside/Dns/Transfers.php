<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;
use React\EventLoop\LoopInterface;

/** Whole zones, where a server gives them away (AXFR, RFC 5936): messages over TCP from one SOA to the same again. */
final readonly class Transfers
{
    /** Bytes and records after which it is no zone that anybody here keeps. */
    private const MOST_BYTES = 8_000_000;

    private const MOST_RECORDS = 50_000;

    private Stream $stream;

    /** @param  float  $seconds  that all of it may take */
    public function __construct(LoopInterface $loop, int $port, float $seconds)
    {
        $this->stream = new Stream($loop, $port, $seconds);
    }

    /** @param  callable(list<Record>|null): void  $told  null: it is not given away, or not to its end */
    public function ask(string $address, Name $zone, callable $told): void
    {
        $id = random_int(0, 0xFFFF);
        $records = [];
        $this->stream->ask(
            $address,
            Message::ask($id, new Question($zone, RecordType::AXFR))->octets(),
            function (string $message) use ($id, $zone, &$records): ?array {
                /** @var list<Record> $records */
                array_push($records, ...self::records($message, $id, $zone));
                if (count($records) > self::MOST_RECORDS) {
                    throw DnsError::message(0, 'the zone is too large');
                }

                return self::isWhole($records) ? array_slice($records, 0, -1) : null;
            },
            $told,
            self::MOST_BYTES,
        );
    }

    /**
     * @return list<Record> those of the zone
     *
     * @throws DnsError
     */
    private static function records(string $bytes, int $id, Name $zone): array
    {
        $message = Message::read($bytes);
        if (! $message->isAnswer || $message->id !== $id || $message->code !== ResponseCode::OK || $message->answers === []) {
            throw DnsError::message(0, 'the zone is not given away');
        }

        return array_values(array_filter($message->answers, fn (Record $record): bool => $record->name->isWithin($zone)));
    }

    /** @param  list<Record>  $records */
    private static function isWhole(array $records): bool
    {
        $last = $records === [] ? null : $records[count($records) - 1];

        return count($records) > 1 && $last?->type === RecordType::SOA->value;
    }
}
