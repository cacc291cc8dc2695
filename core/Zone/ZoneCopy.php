<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** What a zone says, by sets of records. */
final readonly class ZoneCopy
{
    /** Made by whoever signs, anew each time (RFC 4034, RFC 5155): they are nobody's wish. */
    private const MADE_BY_SIGNING = ['RRSIG', 'NSEC', 'NSEC3', 'NSEC3PARAM'];

    /** @param  array<string, EntrySet>  $sets  by host and type */
    private function __construct(public string $zone, public array $sets)
    {
    }

    /**
     * @param  string  $zone  small letters, without the last dot
     * @param  iterable<Entry>  $entries
     */
    public static function of(string $zone, iterable $entries): self
    {
        $together = [];
        foreach ($entries as $entry) {
            if (! in_array($entry->type, self::MADE_BY_SIGNING, true)) {
                $together["{$entry->host} {$entry->type}"][] = $entry;
            }
        }

        return new self($zone, array_map(EntrySet::of(...), $together));
    }
}
