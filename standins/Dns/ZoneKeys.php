<?php

declare(strict_types=1);

namespace Standin\Dns;

use Acre\Wire\Dns\RecordType;
use Acre\Wire\Json\JsonNode;
use Standin\Store;

/** Which zones of the world are signed, and with which keys. */
final class ZoneKeys
{
    /** Those above all names, one of each kind. */
    private const ABOVE = ['uk' => ZoneKey::P384, 'de' => ZoneKey::RSA, 'example' => ZoneKey::ED25519];

    /** @var array<string, ZoneKey> */
    private array $keys = [];

    public function __construct(private readonly Store $store)
    {
    }

    /** The root, a suffix, or `example`. */
    public function above(string $origin): SignedZone
    {
        return new SignedZone($origin, $this->key($origin, self::ABOVE[$origin] ?? ZoneKey::P256, 0));
    }

    /**
     * A name's own, as its zone is told: algorithm, which of its keys (`turn`), for how many seconds its signatures are still good
     * (`lasts`), and types of which they are no good (`garbled`).
     */
    public function told(string $origin, ?JsonNode $told): ?SignedZone
    {
        return $told === null
            ? null
            : new SignedZone(
                $origin,
                $this->key($origin, $told->intOrNull('algorithm') ?? ZoneKey::P256, $told->intOrNull('turn') ?? 0),
                $told->intOrNull('lasts') ?? SignedZone::LASTS,
                array_map(
                    fn (string $type): int => RecordType::number($type) ?? 0,
                    $told->has('garbled') ? $told->texts('garbled') : [],
                ),
            );
    }

    private function key(string $origin, int $algorithm, int $turn): ZoneKey
    {
        return $this->keys["{$origin} {$algorithm} {$turn}"] ??= ZoneKey::of($origin, $algorithm, $turn, $this->store);
    }
}
