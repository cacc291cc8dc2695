<?php

declare(strict_types=1);

namespace App\View;

use App\Models\ContactVersion;

/** Who `contact 7` is today, or was in `contact 7, version 2`, wherever a docket names people by number. */
final class PeopleNamed
{
    /** @var array<int, string> */
    private array $called = [];

    public function named(mixed $text): string
    {
        if (! is_string($text) || preg_match('/^contact (\d{1,18})(, version \d{1,9})?$/D', $text, $found) !== 1) {
            return is_string($text) ? $text : '';
        }
        $id = (int) $found[1];
        if (! isset($this->called[$id])) {
            $called = ContactVersion::query()->where('contact_id', $id)->whereRaw('upper_inf(span)')->value('called');
            $this->called[$id] = is_string($called) && $called !== '' ? $called : "contact {$id}";
        }

        return $this->called[$id].($found[2] ?? '');
    }
}
