<?php

declare(strict_types=1);

namespace App\Queries\Contacts;

use Acre\Core\Contact\Contact;
use Acre\Core\Registrant\MaterialChange;
use Acre\Core\Rulebook\Rulebook;
use App\Support\TradeClock;

/** What changing a contact starts for the names of which it is the registrant, before anything is saved. */
final readonly class Consequences
{
    public function __construct(private ReadContacts $contacts, private Rulebook $book, private TradeClock $clock)
    {
    }

    /**
     * @return list<array{names: int, suffixes: list<string>, what: MaterialChange}> suffixes for which it starts the same together; empty:
     *     it starts nothing
     */
    public function of(int $contactId, Contact $before, Contact $after): array
    {
        if (! MaterialChange::is($before, $after)) {
            return [];
        }
        $now = $this->clock->now();
        $groups = [];
        foreach ($this->contacts->suffixes($contactId) as $suffix => $names) {
            $what = MaterialChange::of($this->book->for($suffix, $now), $now);
            $key = "{$what->confirms->value} {$what->verifyBy?->iso()} {$what->holdUntil?->iso()}";
            $groups[$key] = [
                'names' => ($groups[$key]['names'] ?? 0) + $names,
                'suffixes' => [...$groups[$key]['suffixes'] ?? [], $suffix],
                'what' => $what,
            ];
        }
        usort($groups, fn (array $a, array $b): int => $b['names'] <=> $a['names']);

        return $groups;
    }
}
