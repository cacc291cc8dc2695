<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\LifecycleFinding;
use Acre\Core\Money\Money;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use App\Queries\Roll\Facet;
use App\Queries\Rounds\Sums;
use App\Support\Dates;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Translation\Translator;

/** Says in words what the core found; every word stands in lang/. */
final readonly class Words
{
    public function __construct(private Translator $lang, private TradeClock $clock)
    {
    }

    public function finding(Finding $finding): string
    {
        $key = 'findings.'.$finding->key();
        $by = $finding->with['by'] ?? null;
        // What was expected by a day that is past is said in words of its own, where it has any.
        $isPast = $by instanceof Instant && $this->clock->isPast($by) && $this->lang->has("{$key}_past");

        return $this->say($isPast ? "{$key}_past" : $key, $this->with($finding->with));
    }

    /** What stands in the way of several names at once, without what differs from one to the next. */
    public function inTheWay(Finding $finding): string
    {
        return $this->sayOr('deeds.in_the_way.'.$finding->key(), self::lowered($this->finding($finding)));
    }

    /** A sentence that goes on from another; what is all capitals stays so. */
    private static function lowered(string $sentence): string
    {
        return preg_match('/\A\p{Lu}{2}/u', $sentence) === 1 ? $sentence : lcfirst($sentence);
    }

    /**
     * A finding that was recorded with a docket's line.
     *
     * @param  array<array-key, mixed>  $stored  as `Finding::jsonSerialize()` made it
     */
    public function stored(array $stored): string
    {
        $with = [];
        foreach (is_array($stored['with'] ?? null) ? $stored['with'] : [] as $name => $typed) {
            [$kind, $value] = is_array($typed) ? [$typed[0] ?? null, $typed[1] ?? null] : [null, null];
            $with[(string) $name] = match (true) {
                $kind === 'instant' && is_string($value) => Instant::of($value),
                $kind === 'money' && is_array($value) && is_string($value[0] ?? null) && is_string($value[1] ?? null) => Money::of(
                    $value[0],
                    $value[1],
                ),
                $kind === 'text' && is_string($value) => $value,
                default => is_int($value) ? $value : '',
            };
        }

        return $this->say('findings.'.(is_string($stored['key'] ?? null) ? $stored['key'] : ''), $this->with($with));
    }

    /**
     * @param  array<string, string|int|Instant|Money>  $values  of one sentence
     * @return array<string, string>
     */
    private function with(array $values): array
    {
        $days = $this->days(array_filter($values, fn (mixed $value): bool => $value instanceof Instant));
        $with = [];
        foreach ($values as $name => $value) {
            $with[$name] = match (true) {
                $value instanceof Instant => $days[$name],
                $value instanceof Money => $value->text(),
                is_string($value) => $this->vocabulary($name, $value),
                default => (string) $value,
            };
        }

        return $with;
    }

    /**
     * Days that are read together: where one says its year, or two would read alike without it, each does.
     *
     * @param  array<string, Instant>  $named
     * @return array<string, string>
     */
    private function days(array $named): array
    {
        $near = array_map($this->near(...), $named);
        $full = array_map(Dates::full(...), $named);

        return array_intersect_assoc($near, $full) !== [] || count(array_unique($near)) < count(array_unique($full)) ? $full : $near;
    }

    /** @return array{string, string} the strong line and the lesser one */
    public function next(Row $standing, ?Money $late = null): array
    {
        $kind = NextKind::from($standing->text('next_kind'));
        $at = $standing->instant('next_at')?->toDay();
        $ends = $standing->instant('ends_on')?->toDay();
        $sum = $standing->textOrNull('sum');
        $key = "standing.next.{$kind->value}";
        $with = [
            'sum' => $sum === null ? '' : Money::of($sum, $standing->text('currency'))->text(),
            'late' => $late?->text() ?? '',
        ] +
            $this->days(array_filter(['at' => $at, 'ends' => str_contains($this->say("{$key}.lesser"), ':ends') ? $ends : null])) + [
                'at' => '',
                'ends' => '',
            ];
        $form = match (true) {
            $kind === NextKind::Watched && $at === null => $standing->text('registrar_name') === '' ? 'nowhere' : 'unsaid',
            $kind === NextKind::Watched && Phase::from($standing->text('phase'))->isDeleted() => 'falls',
            $kind === NextKind::Lapsing && ($standing->textOrNull('phase') === Phase::PendingDelete->value || $at === null) => $at === null
                ? 'over'
                : 'falls',
            $kind === NextKind::Handover && $this->clock->isPast($at) => 'past',
            $sum === null => 'plain',
            default => $kind === NextKind::LatePlain && $late !== null ? 'then' : 'sum',
        };

        return [
            $this->say($this->lang->has("{$key}.{$form}") ? "{$key}.{$form}" : "{$key}.plain", $with),
            // Whatever comes next, it doesn't work today.
            str_contains(
                $standing->textOrNull('marks') ?? '',
                Facet::Finding->mark(LifecycleFinding::area().'.'.LifecycleFinding::OnHold->value),
            ) && $kind !== NextKind::Lapsing
                ? $this->say('standing.on_hold')
                : $this->say("{$key}.lesser", $with),
        ];
    }

    /** A case of an enum in its word, or several, anything else as it is. */
    private function vocabulary(string $name, string $value): string
    {
        if ($name === 'fields') {
            return implode(
                ', ',
                array_map(fn (string $field): string => $this->sayOr("contacts.field.{$field}", $field), explode(', ', $value)),
            );
        }

        return $this->lang->has("words.{$name}.{$value}") ? $this->say("words.{$name}.{$value}") : $value;
    }

    /**
     * What names cost together, and how many of them have no price; null: none has one.
     *
     * @param  array<string, string>  $with
     */
    public function sums(Sums $sums, string $key, array $with = []): ?string
    {
        if ($sums->sums === []) {
            return null;
        }

        return $this->say($key, ['sums' => implode(', ', array_map(fn (Money $sum): string => $sum->text(), $sums->sums)), ...$with]).
            ($sums->unpriced === 0 ? '' : ' '.$this->count('rounds.told.unpriced', $sums->unpriced));
    }

    public function near(Instant $instant): string
    {
        return Dates::near($instant, $this->clock->today());
    }

    /** @param  array<string, string|int>  $with */
    public function say(string $key, array $with = []): string
    {
        $said = $this->lang->get($key, $with);

        return is_string($said) ? $said : $key;
    }

    /**
     * The same, or what is given where nobody has written words for it.
     *
     * @param  array<string, string|int>  $with
     */
    public function sayOr(string $key, string $otherwise, array $with = []): string
    {
        return $this->lang->has($key) ? $this->say($key, $with) : $otherwise;
    }

    /**
     * What is kept by its key, or as a list of such, as a person reads it.
     *
     * @param  string  $of  the vocabulary that a key is of: `intent`, `lock` …
     */
    public function kept(string $of, mixed $value): string
    {
        return match (true) {
            $value === null, $value === '', $value === [] => 'nothing',
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) => implode(
                ', ',
                array_map(
                    fn (mixed $one, int|string $key): string => (is_int($key) ? '' : "{$key}: ").$this->kept($of, $one),
                    $value,
                    array_keys($value),
                ),
            ),
            is_string($value) && preg_match('/^[a-z_]+$/D', $of.$value) === 1 => $this->sayOr("words.{$of}.{$value}", $value),
            // A day, however exactly it was kept.
            is_string($value) &&
                preg_match('/^(\d{4})-(\d\d)-(\d\d)(?:[T ]00:00:00(?:Z|\+00))?$/D', $value, $day) === 1 &&
                (int) $day[1] >= 1985 &&
                (int) $day[1] <= 2100 &&
                checkdate((int) $day[2], (int) $day[3], (int) $day[1]) => Dates::full(Instant::of(substr($value, 0, 10))),
            default => is_scalar($value) ? (string) $value : '',
        };
    }

    /** @param  array<string, string|int>  $with */
    public function count(string $key, int $number, array $with = []): string
    {
        return $this->lang->choice($key, $number, ['count' => number_format($number)] + $with);
    }
}
