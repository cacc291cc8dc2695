<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

use Acre\Core\Rulebook\Reading\RuleIs;
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
    /**
     * @param  array<string, list<Rule<int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase>>>>  $rules  editions by key,
     *     oldest first
     */
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
        $keys = array_map(fn (RuleIs $rule): string => $rule->key(), array_values(RuleSet::readers()));
        $unknown = array_diff(array_keys($given), $keys);
        if ($unknown !== []) {
            throw RulebookError::value($file, 'rules', 'only '.implode(', ', $keys), array_values($unknown));
        }
        $rules = [];
        foreach (RuleSet::readers() as $rule) {
            $rules[$rule->key()] = self::editions($file, $rule, $given[$rule->key()] ?? null);
        }

        return new self($file, $suffix === '*', $rules);
    }

    /** The editions in force at an instant. */
    public function at(Instant $now, string $suffix): RuleSet
    {
        return RuleSet::of(
            $suffix,
            $this->isDefault,
            array_map(fn (RuleIs $rule): Rule => $this->inForce($rule->key(), $now), RuleSet::readers()),
        );
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
        return $found ?? ($this->rules[$key][0] ?? throw RulebookError::nothingInForce($this->file, $key, $now->date()));
    }

    /** @return list<Rule<int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase>>> */
    private static function editions(string $file, RuleIs $rule, mixed $given): array
    {
        $key = $rule->key();
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
            try {
                $value = $rule->read($edition['value'] ?? null);
            } catch (ValueError $e) {
                throw RulebookError::value($file, $key, $e->getMessage(), $edition['value'] ?? null);
            }
            $rules[] = new Rule($value, $mark, $source, $from);
        }
        usort($rules, fn (Rule $a, Rule $b): int => $a->from->epoch <=> $b->from->epoch);

        return $rules;
    }
}
