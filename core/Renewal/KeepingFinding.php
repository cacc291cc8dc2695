<?php

declare(strict_types=1);

namespace Acre\Core\Renewal;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What speaks for letting a name go, or for asking whether it is still wanted (common practice). */
enum KeepingFinding: string implements FindingTag
{
    case MeantToLapse = 'meant_to_lapse';
    /** No server answers for it. */
    case NothingAnswers = 'nothing_answers';
    /** Its zone names neither pages nor mail. */
    case NothingThere = 'nothing_there';
    case LeadsOn = 'leads_on';
    case Dear = 'dear';

    public static function area(): string
    {
        return 'keeping';
    }

    /** Whether it is reason enough to advise it. */
    public function isAdvice(): bool
    {
        return $this === self::NothingAnswers || $this === self::NothingThere;
    }

    public function arguments(): array
    {
        return match ($this) {
            self::MeantToLapse => ['ends'],
            self::LeadsOn => ['target'],
            self::Dear => ['sum', 'usual'],
            self::NothingAnswers, self::NothingThere => [],
        };
    }

    public function cost(): Cost
    {
        return $this === self::MeantToLapse ? Cost::Attention : Cost::Money;
    }

    public function actor(): Actor
    {
        return Actor::Client;
    }

    public function cure(): Cure
    {
        return Cure::ChangeIntent;
    }
}
