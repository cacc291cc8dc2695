<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppResponse;

/** Whether an object could be created, and the server's reason where it could not (RFC 5731, 5732 and 5733, §3.1.1 of each). */
final readonly class Availability
{
    private function __construct(public bool $isFree, public ?string $reason)
    {
    }

    /** @return array<string, self> by name in small letters, or by handle as it is written */
    public static function allOf(EppResponse $response, EppObject $object): array
    {
        $namespace = $object->namespace()->value;
        $found = [];
        foreach ($response->object($object->namespace(), 'chkData')->children($namespace, 'cd') as $checked) {
            $key = $checked->child($namespace, $object === EppObject::Contact ? 'id' : 'name');
            $text = $object === EppObject::Contact ? $key->text() : strtolower($key->text());
            $found[$text] = new self(in_array($key->attribute('avail'), ['1', 'true'], true), $checked->textOrNull($namespace, 'reason'));
        }

        return $found;
    }
}
