<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Finding\Finding;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Renewal\Paying;
use Acre\Core\Renewal\Restoration;
use Acre\Core\Time\Instant;
use App\Queries\Names\HeldCase;

/**
 * Deleted names that are to be taken back.
 *
 * @extends JudgeSales<Restoration>
 */
final class JudgeRestorations extends JudgeSales
{
    public function action(): string
    {
        return 'restore';
    }

    protected function make(HeldCase $file, array $terms, Instant $now, array $rates, Paying $paying): Restoration
    {
        return new Restoration(
            $file->life($this->rules, $now),
            self::rate($file->late->restore, $rates['restore'] ?? null),
            $paying,
            $file->waiting,
            // That it was deleted is what this cures.
            array_values(array_filter($file->seenOutside(), fn (Finding $one): bool => $one->tag !== RecordFinding::Deleted)),
        );
    }
}
