<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

use Acre\Wire\Xml\XmlNode;
use DateTimeImmutable;

/** The first message of the queue that a server keeps for a client (RFC 5730 §2.9.2.3); with another answer, only its count and id. */
final readonly class EppMessage
{
    private function __construct(public int $count, public string $id, public ?DateTimeImmutable $at, public ?string $text)
    {
    }

    public static function of(XmlNode $queue): self
    {
        $epp = EppNamespace::Epp->value;

        return new self(
            (int) $queue->attribute('count'),
            $queue->attribute('id') ?? '',
            $queue->timeOrNull($epp, 'qDate'),
            $queue->textOrNull($epp, 'msg'),
        );
    }
}
