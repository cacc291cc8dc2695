<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppResponse;
use DateTimeImmutable;

/**
 * How a transfer of a name or a contact stands (RFC 5731 and 5733, §3.1.3 of each): answered with the command, with a query, or with a
 * message of the queue.
 */
final readonly class TransferData
{
    /**
     * @param  string  $key  a name in small letters, or a handle
     * @param  string  $state  `pending`, `clientApproved`, `clientCancelled`, `clientRejected`, `serverApproved` or `serverCancelled`
     * @param  DateTimeImmutable|null  $actAt  by when the other side must act, or when it did
     * @param  DateTimeImmutable|null  $ends  a name's end if it is approved
     */
    private function __construct(
        public string $key,
        public string $state,
        public string $asker,
        public ?DateTimeImmutable $askedAt,
        public string $actor,
        public ?DateTimeImmutable $actAt,
        public ?DateTimeImmutable $ends,
    ) {
    }

    public static function of(EppResponse $response, EppObject $object = EppObject::Domain): self
    {
        $namespace = $object->namespace()->value;
        $data = $response->object($object->namespace(), 'trnData');

        return new self(
            $object === EppObject::Contact ? $data->textOf($namespace, 'id') : strtolower($data->textOf($namespace, 'name')),
            $data->textOf($namespace, 'trStatus'),
            $data->textOf($namespace, 'reID'),
            $data->timeOrNull($namespace, 'reDate'),
            $data->textOf($namespace, 'acID'),
            $data->timeOrNull($namespace, 'acDate'),
            $data->timeOrNull($namespace, 'exDate'),
        );
    }
}
