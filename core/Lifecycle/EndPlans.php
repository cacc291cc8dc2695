<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\RuleSet;

/** The plans that one set of rules makes, each worked out once. Registrars' terms are few. */
final class EndPlans
{
    /** @var array<string, EndPlan> by what a plan depends on */
    private array $made = [];

    public function of(RuleSet $rules, LateTerms $terms, Intent $intent): EndPlan
    {
        return $this->made["{$intent->value} {$terms->chargeLead} {$terms->askLead} {$terms->darkAfter} {$terms->plainAfter} {$terms->lateUntil} ".($terms->restore === null ? '' : 'r')] ??= EndPlan::of($rules, $terms, $intent);
    }
}
