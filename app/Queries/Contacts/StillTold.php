<?php

declare(strict_types=1);

namespace App\Queries\Contacts;

use Acre\Core\Contact\Contact;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Registrant\MaterialChange;
use App\Models\ContactVersion;

/** Which versions of contacts, told to registrars once, say something else than today's. */
final class StillTold
{
    /** @var array<int, Contact> by version */
    private array $read = [];

    /**
     * @param  array<array-key, array{int, int}>  $pairs  the version that was told, and today's
     * @return array<array-key, bool> whether the one told is wrong today, by the same keys
     */
    public function outdated(array $pairs): array
    {
        $apart = array_filter($pairs, fn (array $pair): bool => $pair[0] !== $pair[1]);
        $this->read(array_values(array_unique(array_merge(...array_values($apart)))));

        return array_map(
            fn (array $pair): bool => $pair[0] !== $pair[1] && MaterialChange::contradicts($this->read[$pair[0]], $this->read[$pair[1]]),
            $pairs,
        );
    }

    /** @param  list<int>  $versions */
    private function read(array $versions): void
    {
        foreach (array_chunk(array_diff($versions, array_keys($this->read)), 1_000) as $some) {
            foreach (ContactVersion::query()->with('mailbox')->whereKey($some)->get() as $version) {
                // What kind of holder they are may have been found out since, and is no change of theirs.
                $this->read[$version->id] = $version->value(HolderKind::Unknown);
            }
        }
    }
}
