<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

use Acre\Core\Rulebook\Reading\Choice;
use Acre\Core\Rulebook\Reading\Flag;
use Acre\Core\Rulebook\Reading\Number;
use Acre\Core\Rulebook\Reading\Phases;
use Acre\Core\Rulebook\Reading\RuleIs;
use Acre\Core\Rulebook\Reading\Whole;
use ReflectionAttribute;
use ReflectionClass;

/** What one suffix demands and allows at one instant. */
final readonly class RuleSet
{
    /**
     * @param  bool  $isDefault  the suffix has no file of its own, so cautious values stand in
     * @param  Rule<int>  $leastMonths  the shortest term that is sold
     * @param  Rule<int>  $mostYears  the longest term that is sold at once
     * @param  Rule<int>  $yearsAhead  how far ahead of today a name's end may lie
     * @param  Rule<list<EndPhase>>  $end  what follows the end of the paid term, in order
     * @param  Rule<int>  $lastDark  days at the end of the renewable time in which the name must not answer; 0: no such rule
     * @param  Rule<int>  $holdAfterCreated  days without a transfer after registration
     * @param  Rule<int>  $holdAfterMoved  days without a transfer after a transfer
     * @param  Rule<bool>  $showsEnd  whether the public record shows an end
     * @param  Rule<int>  $renewableFrom  days before the end from which it can be renewed; 0: at any time
     * @param  Rule<MovesBy>  $movesBy  how it goes to another registrar
     * @param  Rule<int>  $moveAdds  years that such a move adds to the end
     * @param  Rule<int>  $codeDays  how long an auth code is good; 0: no limit
     * @param  Rule<bool>  $hasLock  whether registrars can lock it against moves
     * @param  Rule<bool>  $privacyAllowed  whether a privacy service may stand in the record
     * @param  Rule<bool>  $presenceNeeded  whether the holder must live or sit somewhere
     * @param  Rule<bool>  $serversChecked  whether the registry takes only name servers that already answer for the name
     * @param  Rule<bool>  $secureOnly  whether browsers ask names of it for pages over TLS alone
     * @param  Rule<bool>  $holderValidated  whether the registry itself checks the holder's data
     * @param  Rule<int>  $verifyDays  days within which the registrant's mailbox must be verified; 0: no such rule
     * @param  Rule<int>  $registrantHold  days without a transfer after a material change of registrant; 0: none
     * @param  Rule<RegistrantConfirms>  $registrantConfirms  who must confirm such a change
     * @param  Rule<Roles>  $roles  the roles that contacts have for it
     * @param  Rule<Published>  $published  what the public record shows of the holder
     */
    public function __construct(
        public string $suffix,
        public bool $isDefault,
        #[Number('least_months')] public Rule $leastMonths,
        #[Number('most_years')] public Rule $mostYears,
        #[Number('years_ahead')] public Rule $yearsAhead,
        #[Phases('end')] public Rule $end,
        #[Number('last_dark_days')] public Rule $lastDark,
        #[Number('hold_after_created_days')] public Rule $holdAfterCreated,
        #[Number('hold_after_moved_days')] public Rule $holdAfterMoved,
        #[Flag('shows_end')] public Rule $showsEnd,
        #[Number('renewable_from_days')] public Rule $renewableFrom,
        #[Choice('moves_by', MovesBy::class)] public Rule $movesBy,
        #[Number('move_adds_years')] public Rule $moveAdds,
        #[Number('code_days')] public Rule $codeDays,
        #[Flag('has_lock')] public Rule $hasLock,
        #[Flag('privacy_allowed')] public Rule $privacyAllowed,
        #[Flag('presence_needed')] public Rule $presenceNeeded,
        #[Flag('servers_checked')] public Rule $serversChecked,
        #[Flag('secure_only')] public Rule $secureOnly,
        #[Flag('holder_validated')] public Rule $holderValidated,
        #[Number('verify_days')] public Rule $verifyDays,
        #[Number('registrant_hold_days')] public Rule $registrantHold,
        #[Choice('registrant_confirms', RegistrantConfirms::class)] public Rule $registrantConfirms,
        #[Whole('roles', Roles::class)] public Rule $roles,
        #[Whole('published', Published::class)] public Rule $published,
    ) {
    }

    /**
     * How each rule is read, by the property that it is.
     *
     * @return array<string, RuleIs>
     */
    public static function readers(): array
    {
        /** @var array<string, RuleIs> $readers */
        static $readers = [];
        if ($readers === []) {
            foreach ((new ReflectionClass(self::class))->getConstructor()?->getParameters() ?? [] as $parameter) {
                foreach ($parameter->getAttributes(RuleIs::class, ReflectionAttribute::IS_INSTANCEOF) as $attribute) {
                    $readers[$parameter->getName()] = $attribute->newInstance();
                }
            }
        }

        return $readers;
    }

    /** @param  array<string, Rule<int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase>>>  $rules  by property */
    public static function of(string $suffix, bool $isDefault, array $rules): self
    {
        return (new ReflectionClass(self::class))->newInstance(...['suffix' => $suffix, 'isDefault' => $isDefault, ...$rules]);
    }

    /** Whether a name may carry a transfer lock: where the rules are not known, one that is recorded is believed. */
    public function mayBeLocked(): bool
    {
        return $this->hasLock->value || $this->isDefault;
    }
}
