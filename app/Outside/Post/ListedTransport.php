<?php

declare(strict_types=1);

namespace App\Outside\Post;

use App\Outside\Reach\Hosts;
use SensitiveParameter;
use Symfony\Component\Mailer\Envelope;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\Smtp\EsmtpTransport;
use Symfony\Component\Mailer\Transport\Smtp\Stream\SocketStream;
use Symfony\Component\Mailer\Transport\TransportInterface;
use Symfony\Component\Mime\RawMessage;

/**
 * SMTP to a listed host, dialled where it was judged, always behind TLS. One connection a letter: an answer that comes twice can't be taken
 * for the next one's.
 */
final readonly class ListedTransport implements TransportInterface
{
    /** RFC 8314: TLS from the first byte. */
    private const IMPLICIT = 465;

    /**
     * @param  string|null  $authority  a file of certificates to trust instead of the machine's own
     * @param  float  $seconds  that an answer may take
     */
    public function __construct(
        private Hosts $hosts,
        private string $host,
        private int $port,
        private ?string $user,
        #[SensitiveParameter] private ?string $password,
        private ?string $authority,
        private float $seconds,
    ) {
    }

    public function send(RawMessage $message, ?Envelope $envelope = null): ?SentMessage
    {
        [$address, $dialled] = $this->hosts->dial($this->host, $this->port);
        $stream = (new SocketStream())
            ->setTimeout($this->seconds)
            ->setStreamOptions([
                'socket' => ['tcp_nodelay' => true],
                'ssl' => ['peer_name' => $this->host] + ($this->authority === null ? [] : ['cafile' => $this->authority]),
            ]);
        $transport = new EsmtpTransport($address, $dialled, $this->port === self::IMPLICIT, stream: $stream);
        $transport
            ->setRequireTls($this->port !== self::IMPLICIT)
            ->setUsername($this->user ?? '')
            ->setPassword($this->password ?? '');
        try {
            return $transport->send($message, $envelope);
        } finally {
            $transport->stop();
        }
    }

    public function __toString(): string
    {
        return "listed://{$this->host}:{$this->port}";
    }
}
