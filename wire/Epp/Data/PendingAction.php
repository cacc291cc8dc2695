<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppResponse;
use DateTimeImmutable;

/** How an action ended that a server had put off (code 1001), as a message of the queue says it (RFC 5731, 5732 and 5733, §3.3 of each). */
final readonly class PendingAction
{
    /**
     * @param  string  $key  a name in small letters, or a handle
     * @param  string|null  $client  the id that we gave the command
     * @param  string  $server  the server's own of it
     */
    private function __construct(
        public string $key,
        public bool $isDone,
        public ?string $client,
        public string $server,
        public ?DateTimeImmutable $at,
    ) {
    }

    /** Null: the message is of something else. */
    public static function of(EppResponse $response): ?self
    {
        foreach (EppObject::cases() as $object) {
            $namespace = $object->namespace()->value;
            $data = $response->objectOrNull($object->namespace(), 'panData');
            if ($data !== null) {
                $key = $data->child($namespace, $object === EppObject::Contact ? 'id' : 'name');
                $ids = $data->child($namespace, 'paTRID');

                return new self(
                    $object === EppObject::Contact ? $key->text() : strtolower($key->text()),
                    in_array($key->attribute('paResult'), ['1', 'true'], true),
                    $ids->textOrNull(EppNamespace::Epp->value, 'clTRID'),
                    $ids->textOf(EppNamespace::Epp->value, 'svTRID'),
                    $data->timeOrNull($namespace, 'paDate'),
                );
            }
        }

        return null;
    }
}
