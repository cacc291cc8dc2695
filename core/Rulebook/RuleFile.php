<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

use Acre\Core\Lifecycle\Phase;
use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;
use ValueError;

/**
 * One suffix's file, checked whole as it is read: every key known, every value of its type, with mark, source and date.
 *
 * Its shape is published as `rulebook/schema.json`, which a test holds against this reader.
 */
final readonly class RuleFile
{
    public const KEYS = [
        'least_years', 'most_years', 'years_ahead', 'end', 'last_dark_days', 'renewable_from_days', 'hold_after_created_days', 'hold_after_moved_days',
        'moves_by', 'move_adds_years', 'code_days', 'has_lock', 'privacy_allowed', 'presence_needed', 'holder_validated', 'shows_end',
        'verify_days', 'registrant_hold_days', 'registrant_confirms', 'roles', 'published',
    ];

    private const FLAGS = ['has_lock', 'privacy_allowed', 'presence_needed', 'holder_validated', 'shows_end'];

    /** @param  array<string, list<Rule<int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase>>>>  $rules  editions by key, oldest first */
    private function __construct(private string $file, private bool $isDefault, private array $rules)
    {
    }

    /** @throws RulebookError naming the file, the key, what was expected and what stands there */
    public static function read(string $path): self
    {
        $file = basename($path);
        try {
            $read = Yaml::parseFile($path, Yaml::PARSE_EXCEPTION_ON_INVALID_TYPE);
        } catch (ParseException $e) {
            throw RulebookError::unreadable($file, $e->getMessage());
        }
        if (! is_array($read)) {
            throw RulebookError::value($file, 'the file', 'a map', $read);
        }
        $suffix = $read['suffix'] ?? null;
        if (! is_string($suffix) || preg_match('/^(\*|[a-z0-9-]+(\.[a-z0-9-]+)*)$/D', $suffix) !== 1) {
            throw RulebookError::value($file, 'suffix', 'a suffix in small letters, or * for the default', $suffix);
        }
        if ($suffix !== '*' && $file !== $suffix.'.yaml') {
            throw RulebookError::value($file, 'suffix', 'what the file is named after', $suffix);
        }
        $given = $read['rules'] ?? null;
        if (! is_array($given) || array_diff(array_keys($read), ['suffix', 'rules']) !== []) {
            throw RulebookError::value($file, 'the file', 'suffix and rules, nothing else', array_keys($read));
        }
        $unknown = array_diff(array_keys($given), self::KEYS);
        if ($unknown !== []) {
            throw RulebookError::value($file, 'rules', 'only '.implode(', ', self::KEYS), array_values($unknown));
        }
        $rules = [];
        foreach (self::KEYS as $key) {
            $rules[$key] = self::editions($file, $key, $given[$key] ?? null);
        }

        return new self($file, $suffix === '*', $rules);
    }

    /** The editions in force at an instant. */
    public function at(Instant $now, string $suffix): RuleSet
    {
        return new RuleSet(
            $suffix,
            $this->isDefault,
            $this->number('least_years', $now),
            $this->number('most_years', $now),
            $this->number('years_ahead', $now),
            $this->phases('end', $now),
            $this->number('last_dark_days', $now),
            $this->number('hold_after_created_days', $now),
            $this->number('hold_after_moved_days', $now),
            $this->flag('shows_end', $now),
            $this->number('renewable_from_days', $now),
            $this->value('moves_by', $now, MovesBy::class),
            $this->number('move_adds_years', $now),
            $this->number('code_days', $now),
            $this->flag('has_lock', $now),
            $this->flag('privacy_allowed', $now),
            $this->flag('presence_needed', $now),
            $this->flag('holder_validated', $now),
            $this->number('verify_days', $now),
            $this->number('registrant_hold_days', $now),
            $this->value('registrant_confirms', $now, RegistrantConfirms::class),
            $this->value('roles', $now, Roles::class),
            $this->value('published', $now, Published::class),
        );
    }

    /** @return Rule<int> */
    private function number(string $key, Instant $now): Rule
    {
        $rule = $this->inForce($key, $now);

        return is_int($rule->value) ? new Rule($rule->value, $rule->mark, $rule->source, $rule->from) : throw RulebookError::value($this->file, $key, 'a whole number', $rule->value);
    }

    /** @return Rule<bool> */
    private function flag(string $key, Instant $now): Rule
    {
        $rule = $this->inForce($key, $now);

        return is_bool($rule->value) ? new Rule($rule->value, $rule->mark, $rule->source, $rule->from) : throw RulebookError::value($this->file, $key, 'true or false', $rule->value);
    }

    /**
     * @template T of MovesBy|RegistrantConfirms|Roles|Published
     *
     * @param  class-string<T>  $class
     * @return Rule<T>
     */
    private function value(string $key, Instant $now, string $class): Rule
    {
        $rule = $this->inForce($key, $now);

        return $rule->value instanceof $class ? new Rule($rule->value, $rule->mark, $rule->source, $rule->from) : throw RulebookError::value($this->file, $key, $class, $rule->value);
    }

    /**
     * Every edition of every rule, as the page of a suffix shows them.
     *
     * @return array<string, list<Rule<int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase>>>>
     */
    public function editionsByKey(): array
    {
        return $this->rules;
    }

    /** @return Rule<list<EndPhase>> */
    private function phases(string $key, Instant $now): Rule
    {
        $rule = $this->inForce($key, $now);

        return is_array($rule->value) ? new Rule($rule->value, $rule->mark, $rule->source, $rule->from) : throw RulebookError::value($this->file, $key, 'a list of phases', $rule->value);
    }

    /** @return Rule<int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase>> */
    private function inForce(string $key, Instant $now): Rule
    {
        $found = null;
        foreach ($this->rules[$key] as $rule) {
            if ($rule->from->hasComeAt($now)) {
                $found = $rule;
            }
        }

        // Before the first edition of a rule its oldest one is the best that is known.
        return $found ?? $this->rules[$key][0] ?? throw RulebookError::nothingInForce($this->file, $key, $now->date());
    }

    /** @return list<Rule<int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase>>> */
    private static function editions(string $file, string $key, mixed $given): array
    {
        if (! is_array($given) || $given === [] || ! array_is_list($given)) {
            throw RulebookError::value($file, $key, 'a list of editions', $given);
        }
        $rules = [];
        foreach ($given as $edition) {
            if (! is_array($edition) || array_diff(array_keys($edition), ['value', 'mark', 'source', 'from']) !== []) {
                throw RulebookError::value($file, $key, 'value, mark, source and from', $edition);
            }
            $mark = is_string($edition['mark'] ?? null) ? Mark::tryFrom($edition['mark']) : null;
            $source = $edition['source'] ?? null;
            if ($mark === null || ! is_string($source) || trim($source) === '') {
                throw RulebookError::value($file, $key, 'marked pub, cp or mem, with a source', $edition);
            }
            try {
                $from = Instant::of(is_string($edition['from'] ?? null) ? $edition['from'] : '');
            } catch (TimeError) {
                throw RulebookError::value($file, $key.' from', 'a quoted date such as "2013-08-31"', $edition['from'] ?? null);
            }
            $rules[] = new Rule(self::checked($file, $key, $edition['value'] ?? null), $mark, $source, $from);
        }
        usort($rules, fn (Rule $a, Rule $b): int => $a->from->epoch <=> $b->from->epoch);

        return $rules;
    }

    /** @return int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase> */
    private static function checked(string $file, string $key, mixed $value): int|bool|MovesBy|RegistrantConfirms|Roles|Published|array
    {
        if ($key === 'end') {
            return self::endPhases($file, $value);
        }
        try {
            $read = match ($key) {
                'moves_by' => (is_string($value) ? MovesBy::tryFrom($value) : null) ?? throw new ValueError('code, tag or mail'),
                'registrant_confirms' => (is_string($value) ? RegistrantConfirms::tryFrom($value) : null) ?? throw new ValueError('both, new, nobody or registry'),
                'roles' => Roles::read($value),
                'published' => Published::read($value),
                default => null,
            };
        } catch (ValueError $e) {
            throw RulebookError::value($file, $key, $e->getMessage(), $value);
        }
        if ($read !== null) {
            return $read;
        }
        if (in_array($key, self::FLAGS, true)) {
            return is_bool($value) ? $value : throw RulebookError::value($file, $key, 'true or false', $value);
        }

        return is_int($value) && $value >= 0 && $value <= 999 ? $value : throw RulebookError::value($file, $key, 'a whole number from 0 to 999', $value);
    }

    /** @return list<EndPhase> */
    private static function endPhases(string $file, mixed $value): array
    {
        if (! is_array($value) || ! array_is_list($value)) {
            throw RulebookError::value($file, 'end', 'a list of phases', $value);
        }
        $phases = [];
        foreach ($value as $given) {
            if (! is_array($given) || array_diff(array_keys($given), ['phase', 'days', 'dark', 'rescue', 'registrar_may_cut', 'price']) !== []) {
                throw RulebookError::value($file, 'end', 'phase, days, dark, rescue and, if so, registrar_may_cut and price', $given);
            }
            $phase = is_string($given['phase'] ?? null) ? Phase::tryFrom($given['phase']) : null;
            $dark = is_string($given['dark'] ?? null) ? Darkness::tryFrom($given['dark']) : null;
            $rescue = is_string($given['rescue'] ?? null) ? Rescue::tryFrom($given['rescue']) : null;
            $days = $given['days'] ?? null;
            $cut = $given['registrar_may_cut'] ?? false;
            $price = $given['price'] ?? null;
            if ($price !== null && ($price !== 'plain' || $rescue !== Rescue::Renew)) {
                throw RulebookError::value($file, 'end', 'price plain, of a phase in which it can be renewed', $given);
            }
            if ($phase === null || $dark === null || $rescue === null || ! is_bool($cut) || ! is_int($days) || $days < 1 || $days > 999) {
                throw RulebookError::value($file, 'end', 'a known phase, 1 to 999 days, dark "no", "registrar" or "yes", rescue renew, restore or nothing', $given);
            }
            $phases[] = new EndPhase($phase, $days, $dark, $rescue, $cut, $price === 'plain');
        }

        return $phases;
    }
}
