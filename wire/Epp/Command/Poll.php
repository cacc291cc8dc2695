<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppWriter;

/** RFC 5730 §2.9.2.3: the first message of the queue is asked for, or said to be kept by now so that the server lets it go. */
final readonly class Poll implements EppCommand
{
    private function __construct(private ?string $kept)
    {
    }

    public static function next(): self
    {
        return new self(null);
    }

    public static function kept(string $message): self
    {
        return new self($message);
    }

    public function write(EppWriter $to): void
    {
        $to->sign('poll', $this->kept === null ? ['op' => 'req'] : ['op' => 'ack', 'msgID' => $this->kept]);
    }
}
