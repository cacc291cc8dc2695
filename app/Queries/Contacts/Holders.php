<?php

declare(strict_types=1);

namespace App\Queries\Contacts;

use Acre\Core\Contact\Contact as ContactValue;
use App\Models\Contact;
use App\Queries\Names\HeldCase;

/** What the registrants of names say today: one reading for however many names, and each contact once. */
final readonly class Holders
{
    /**
     * @param  list<HeldCase>  $files
     * @return array<int, ContactValue> by contact
     */
    public function of(array $files): array
    {
        $ids = array_values(
            array_unique(array_filter(array_map(fn (HeldCase $file): ?int => $file->guard?->contact, $files), is_int(...))),
        );
        $found = [];
        foreach (Contact::query()->whereKey($ids)->with('today.mailbox')->get() as $contact) {
            $found[$contact->id] = $contact->today->value($contact->kind);
        }

        return $found;
    }
}
