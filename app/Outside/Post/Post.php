<?php

declare(strict_types=1);

namespace App\Outside\Post;

use App\Models\Letter;
use App\Outside\Reach\NotReached;
use App\Support\HouseSettings;
use Illuminate\Contracts\Mail\Factory;
use Illuminate\Mail\Message;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mime\Exception\RfcComplianceException;

/** Gives letters to the post, and tells apart what its answers, or its silence, mean for each. */
final readonly class Post
{
    /** What the server says before it is told the letter itself; after that a silence leaves its fate open (RFC 5321 §4.5.3.2.6). */
    private const GO_ON = '/^< 354/m';

    /** @param  string|null  $returnsTo  the mailbox to which what can't be delivered comes back */
    public function __construct(private Factory $mail, private HouseSettings $house, private ?string $returnsTo)
    {
    }

    /** Whether there is a post at all; else letters are only kept. */
    public function isThere(): bool
    {
        return config('mail.default') === 'listed';
    }

    /**
     * @param  string  $id  its Message-ID, the same at every try
     * @param  string  $body  plain words, complete
     */
    public function send(Letter $letter, string $id, string $body): Sent
    {
        try {
            $this->mail
                ->mailer()
                ->send(
                    ['html' => 'post.letter', 'raw' => $body],
                    [
                        'subject' => $letter->subject,
                        'body' => $body,
                        'isList' => ! in_array(
                            $letter->kind,
                            ['acceptance', 'confirmation', 'verification', 'invitation', 'password', 'way_in', 'codes'],
                            true,
                        ),
                    ],
                    function (Message $message) use ($letter, $id): void {
                        $message
                            ->from(config()->string('mail.from.address'), $this->house->name())
                            ->to($letter->mailbox)
                            ->subject($letter->subject);
                        if ($this->returnsTo !== null) {
                            $message->returnPath($this->returnsTo);
                            // Whoever is not of the house and answers by mail is heard too, and from where.
                            if ($letter->user_id === null) {
                                $message->replyTo($this->returnsTo);
                            }
                        }
                        $message->getSymfonyMessage()->getHeaders()->addIdHeader('Message-ID', $id);
                    },
                );

            return new Sent(DeliveryOutcome::Taken, '');
        } catch (RfcComplianceException $e) {
            // What was brought in may be no mailbox at all.
            return new Sent(DeliveryOutcome::Refused, mb_substr(mb_scrub($e->getMessage()), 0, 900));
        } catch (NotReached $e) {
            return new Sent(DeliveryOutcome::Later, $e->getMessage(), false);
        } catch (TransportExceptionInterface $e) {
            $code = $e->getCode();
            // What the server said stands in the message; the whole talk, with the letter in it, stays out of our books.
            $words = mb_substr(
                trim((string) preg_replace(['/^.*with message "(.*)"\.$/s', '/\s+/'], ['$1', ' '], mb_scrub($e->getMessage()))),
                0,
                900,
            );

            $fate = match (true) {
                $code >= 500 => DeliveryOutcome::Refused,
                $code >= 400 => DeliveryOutcome::Later,
                preg_match(
                    self::GO_ON,
                    str_replace("\r", '', preg_replace('/^\[[^\]]*\]\s*/m', '', $e->getDebug()) ?? ''),
                ) === 1 => DeliveryOutcome::Doubtful,
                default => DeliveryOutcome::Later,
            };

            return new Sent($fate, $words, $code >= 400 || $fate === DeliveryOutcome::Doubtful);
        }
    }
}
