<?php

declare(strict_types=1);

namespace App\Queries\Contacts;

use Acre\Core\Contact\Field;

/** One field of the holder over some names: what is held, what is read today, and what will be read. */
final readonly class FieldCompared
{
    /**
     * @param  list<string>  $held  the different values that are held, at most two
     * @param  array<string, int>  $today  names by what the last observation says: `shown`, `redacted`, `absent`, `unseen`; most first
     * @param  array<string, int>  $after  names by the state that is to come, most first
     * @param  array<string, list<string>>  $apart  some of the names of which it is otherwise than of most, by that state
     * @param  int  $changes  of how many names something else will be read than is meant to be read today
     * @param  list<string>  $redactedBy  suffixes whose rule it is that will redact it
     */
    public function __construct(
        public Field $field,
        public array $held,
        public array $today,
        public array $after,
        public array $apart,
        public int $changes,
        public array $redactedBy,
    ) {
    }
}
