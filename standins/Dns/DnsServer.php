<?php

declare(strict_types=1);

namespace Standin\Dns;

use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Edns;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\ResponseCode;
use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\TcpServer;
use RuntimeException;
use Standin\Registry\Registry;
use Standin\Store;
use Standin\WorldClock;

/** All name servers of the world, each on an address of its own, over UDP and TCP (RFC 1035 §4.2, RFC 6891, RFC 7766). */
final class DnsServer
{
    private const MOST = 4096;

    private readonly Answers $answers;

    /** @var array<string, list<mixed>> what listens, by address */
    private array $listening = [];

    private readonly Signing $signing;

    public function __construct(private readonly Store $store, WorldClock $clock, private readonly int $port)
    {
        $this->answers = new Answers($store, new ZoneKeys($store));
        $this->signing = new Signing($clock);
    }

    /** Opens every address that is not open yet. */
    public function listen(): void
    {
        $addresses = [
            Addresses::ROOT,
            Addresses::EXAMPLE,
            ...array_merge(...array_map(fn (Registry $registry): array => $registry->servers, Registry::all())),
            ...array_keys($this->store->hosts->byAddress()),
        ];
        foreach (array_unique($addresses) as $address) {
            if (Addresses::isOurs($address)) {
                $this->listening[$address] ??= $this->open($address);
            }
        }
    }

    /** @return list<string> */
    public function addresses(): array
    {
        return array_keys($this->listening);
    }

    /** @return list<mixed> */
    private function open(string $address): array
    {
        $here = Addresses::here($address).":{$this->port}";
        $udp = stream_socket_server("udp://{$here}", $code, $why, STREAM_SERVER_BIND);
        if ($udp === false) {
            throw new RuntimeException("UDP {$here}: {$why}");
        }
        stream_set_blocking($udp, false);
        Loop::addReadStream($udp, function () use ($udp, $address): void {
            // As many as have arrived: one wake for each would cost more than the answer.
            for ($taken = 0; $taken < 200; $taken++) {
                $bytes = stream_socket_recvfrom($udp, self::MOST, 0, $peer);
                if ($bytes === false || $bytes === '' || ! is_string($peer)) {
                    return;
                }
                $this->answer($bytes, $address, false, fn (string $answer) => @stream_socket_sendto($udp, $answer, 0, $peer));
            }
        });
        $tcp = new TcpServer($here);
        $tcp->on('connection', function (ConnectionInterface $connection) use ($address): void {
            $pending = '';
            $connection->on('data', function (string $bytes) use ($connection, $address, &$pending): void {
                $pending .= $bytes;
                while (strlen($pending) >= 2 && strlen($pending) >= 2 + ($length = (ord($pending[0]) << 8) + ord($pending[1]))) {
                    $message = substr($pending, 2, $length);
                    $pending = substr($pending, 2 + $length);
                    $this->answer($message, $address, true, fn (string $answer) => $connection->write(pack('n', strlen($answer)).$answer));
                }
            });
        });

        return [$udp, $tcp];
    }

    /** @param  callable(string): mixed  $send */
    private function answer(string $bytes, string $address, bool $isStream, callable $send): void
    {
        try {
            $asked = Message::read($bytes);
        } catch (DnsError) {
            if (strlen($bytes) >= Message::HEAD) {
                $send(substr($bytes, 0, 2).pack('n5', 0x8000 | ResponseCode::FORMAT_ERROR, 0, 0, 0, 0));
            }

            return;
        }
        $mood = Mood::from($this->store->hosts->mood($address) ?? Mood::Fine->value);
        if ($asked->isAnswer || $mood === Mood::Silent) {
            return;
        }
        $answer = $mood === Mood::Garbled
            ? pack('n6', $asked->id, 0x8400, 1, 0, 0, 0)."\xC0\x0C".pack('n2', 1, 1)
            : $this->answered($asked, $address, $mood, $isStream);
        $mood === Mood::Slow ? Loop::addTimer(1.5, fn () => $send($answer)) : $send($answer);
    }

    private function answered(Message $asked, string $address, Mood $mood, bool $isStream): string
    {
        $reply = new Reply();
        if ($asked->opcode !== 0 || count($asked->questions) !== 1) {
            $reply->code = $asked->opcode === 0 ? ResponseCode::FORMAT_ERROR : ResponseCode::NOT_IMPLEMENTED;
        } else {
            try {
                $reply = $this->answers->to($asked->questions[0], $address, $mood);
                if ($asked->edns?->wantsSignatures === true) {
                    $this->signing->complete($reply, $asked->questions[0]->name);
                }
            } catch (DnsError) {
                // What the control says of a zone need not be a zone.
                $reply->code = ResponseCode::SERVER_FAILURE;
            }
        }
        $answer = new Message(
            $asked->id,
            $asked->questions,
            true,
            $reply->code,
            $reply->answers,
            $reply->authority,
            $reply->additional,
            $asked->edns === null ? null : new Edns(self::MOST, $asked->edns->wantsSignatures),
            $reply->isAuthoritative,
            wantsRecursion: $asked->wantsRecursion,
            opcode: $asked->opcode,
        );
        $room = $asked->edns === null ? Message::PLAIN_ROOM : max(Message::PLAIN_ROOM, min(self::MOST, $asked->edns->room));

        return $answer->octets($isStream ? Message::STREAM_ROOM : $room);
    }
}
