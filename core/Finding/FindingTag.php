<?php

declare(strict_types=1);

namespace Acre\Core\Finding;

use BackedEnum;

/** What a finding says: a case of its area's enum. Its words stand in lang/, under area and value. */
interface FindingTag extends BackedEnum
{
    /** The file of words, and the first part of its key: `lifecycle`. */
    public static function area(): string;

    /** @return list<string> the names of its arguments, as the words use them */
    public function arguments(): array;

    public function cost(): Cost;

    public function actor(): Actor;

    public function cure(): ?Cure;
}
