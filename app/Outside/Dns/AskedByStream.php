<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Edns;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Question;
use React\EventLoop\LoopInterface;

/** A question by TCP, on a connection of its own (RFC 7766). */
final readonly class AskedByStream
{
    /** Octets of one message and its length. */
    private const MOST = 65_537;

    private Stream $stream;

    public function __construct(LoopInterface $loop, int $port, float $seconds)
    {
        $this->stream = new Stream($loop, $port, $seconds);
    }

    /** @param  callable(Message|null): void  $told  null: nobody answered, or not in time */
    public function ask(string $address, Question $question, callable $told, ?Edns $edns = null): void
    {
        $id = random_int(0, 0xFFFF);
        $this->stream->ask(
            $address,
            Message::ask($id, $question, $edns)->octets(),
            fn (string $message): Message => self::read($message, $id),
            $told,
            self::MOST,
        );
    }

    /** @throws DnsError when it is no answer to this question */
    private static function read(string $bytes, int $id): Message
    {
        $message = Message::read($bytes);

        return $message->isAnswer && $message->id === $id ? $message : throw DnsError::message(0, 'it answers something else');
    }
}
