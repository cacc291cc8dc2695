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
use React\Socket\ConnectionInterface;
use React\Socket\TcpConnector;
use Throwable;

/** Whole zones, where a server gives them away (AXFR, RFC 5936): messages over TCP from one SOA to the same again. */
final readonly class Transfers
{
    /** Bytes and records after which it is no zone that anybody here keeps. */
    private const MOST_BYTES = 8_000_000;

    private const MOST_RECORDS = 50_000;

    private TcpConnector $connector;

    /** @param  float  $seconds  that all of it may take */
    public function __construct(private LoopInterface $loop, private int $port, private float $seconds)
    {
        $this->connector = new TcpConnector($loop);
    }

    /** @param  callable(list<Record>|null): void  $told  null: it is not given away, or not to its end */
    public function ask(string $address, Name $zone, callable $told): void
    {
        $id = random_int(0, 0xFFFF);
        $end = function (?array $records) use (&$told): void {
            [$tell, $told] = [$told, null];
            if ($tell !== null) {
                /** @var list<Record>|null $records */
                $tell($records);
            }
        };
        $connecting = $this->connector->connect((str_contains($address, ':') ? "[{$address}]" : $address).":{$this->port}");
        $timer = $this->loop->addTimer($this->seconds, function () use ($connecting, $end): void {
            $end(null);
            $connecting->then(fn (ConnectionInterface $open) => $open->close(), fn (): null => null);
            $connecting->cancel();
        });
        $connecting->then(
            function (ConnectionInterface $open) use ($id, $zone, $end, $timer): void {
                $asked = Message::ask($id, new Question($zone, RecordType::AXFR))->octets();
                $open->write(pack('n', strlen($asked)).$asked);
                $pending = '';
                $taken = 0;
                $records = [];
                $open->on('data', function (string $more) use ($open, $id, $zone, $end, &$pending, &$taken, &$records): void {
                    $pending .= $more;
                    $taken += strlen($more);
                    try {
                        while (strlen($pending) >= 2 && strlen($pending) >= 2 + ($length = (ord($pending[0]) << 8) | ord($pending[1]))) {
                            array_push($records, ...self::records(substr($pending, 2, $length), $id, $zone));
                            $pending = substr($pending, 2 + $length);
                            if (self::isWhole($records)) {
                                $end(array_slice($records, 0, -1));
                                $open->close();

                                return;
                            }
                        }
                    } catch (DnsError) {
                        $open->close();
                    }
                    if ($taken > self::MOST_BYTES || count($records) > self::MOST_RECORDS) {
                        $open->close();
                    }
                });
                $open->on('close', function () use ($end, $timer): void {
                    $this->loop->cancelTimer($timer);
                    $end(null);
                });
            },
            function (Throwable $e) use ($end, $timer): void {
                $this->loop->cancelTimer($timer);
                $end(null);
            },
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
