<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Renewal\Paying;
use Acre\Core\Renewal\Renewal;
use Acre\Core\Time\Instant;
use App\Queries\Names\HeldCase;

/**
 * Renewals, at the years that a deed's terms say.
 *
 * @extends JudgeSales<Renewal>
 */
final class JudgeRenewals extends JudgeSales
{
    public function action(): string
    {
        return 'renew';
    }

    protected function make(HeldCase $file, array $terms, Instant $now, array $rates, Paying $paying): Renewal
    {
        return new Renewal(
            $file->life($this->rules, $now),
            RenewNames::years($terms),
            self::rate($file->late->renew, $rates['renew'] ?? null),
            $rates['late'] ?? null,
            $paying,
            $file->waiting,
            $file->seenOutside(),
        );
    }
}
