<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\RuleSet;
use WeakMap;

/** The plans that sets of rules make, each worked out once. Sets of rules and registrars' terms are few. */
final class EndPlans
{
    /** @var WeakMap<RuleSet, array<string, EndPlan>>|null by what a plan depends on */
    private static ?WeakMap $made = null;

    public static function of(RuleSet $rules, LateTerms $terms, Intent $intent): EndPlan
    {
        $made = self::$made ??= new WeakMap;
        $key = "{$intent->value} {$terms->chargeLead} {$terms->askLead} {$terms->darkAfter} {$terms->plainAfter} {$terms->lateUntil} "
            .($terms->restore === null ? '' : 'r');
        $plans = $made[$rules] ?? [];
        if (! isset($plans[$key])) {
            $made[$rules] = $plans = [...$plans, $key => EndPlan::of($rules, $terms, $intent)];
        }

        return $plans[$key];
    }
}
