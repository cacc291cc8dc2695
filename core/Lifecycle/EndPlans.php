<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\RuleSet;
use WeakMap;

/** The plans that sets of rules make, each worked out once. Sets of rules and registrars' terms are few. */
final class EndPlans
{
    /** @var WeakMap<RuleSet, array<string, array<int, EndPlan>>>|null by intent and terms */
    private static ?WeakMap $made = null;

    public static function of(RuleSet $rules, LateTerms $terms, Intent $intent): EndPlan
    {
        self::$made ??= new WeakMap;
        $known = self::$made[$rules] ?? [];
        if (! isset($known[$intent->value][$terms->plan])) {
            $known[$intent->value][$terms->plan] = EndPlan::of($rules, $terms, $intent);
            self::$made[$rules] = $known;
        }

        return $known[$intent->value][$terms->plan];
    }
}
