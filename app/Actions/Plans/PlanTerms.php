<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use Acre\Core\Planner\Limits;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\Authority;
use App\Actions\Transfer\TransferTerms;
use DateTimeImmutable;

/** Where a migration goes, and within what: as its page says it and its row keeps it. */
final readonly class PlanTerms
{
    private const MOST = 1_000;

    /**
     * @param  bool  $onWeekends  whether names begin on Saturdays and Sundays
     * @param  string|null  $quietFrom  a client's season in which none begins, `YYYY-MM-DD`
     * @param  int|null  $budget  what may be spent, in whole units of the account's currency; null: without a limit
     * @param  int  $stopAt  of a hundred that have gone, how many may fail before it stops by itself
     */
    public function __construct(
        public TransferTerms $transfer,
        public string $start,
        public int $perDay,
        public bool $onWeekends,
        public ?string $quietFrom,
        public ?string $quietTo,
        public int $pilot,
        public ?int $budget,
        public int $stopAt,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $said
     * @return self|null null: something is to be chosen, or can't be
     */
    public static function chosen(array $said, Instant $today): ?self
    {
        $transfer = TransferTerms::chosen($said);
        $number = fn (string $key, int $otherwise): ?int => match (true) {
            ! isset($said[$key]) || $said[$key] === '' => $otherwise,
            is_scalar($said[$key]) && preg_match('/\A\d{1,7}\z/', (string) $said[$key]) === 1 => (int) $said[$key],
            default => null,
        };
        [$perDay, $pilot, $stopAt, $budget] = [$number('per_day', 20), $number('pilot', 3), $number('stop_at', 5), $number('budget', -1)];
        $start = self::day($said['start'] ?? null) ?? $today->date();
        [$from, $to] = [self::day($said['quiet_from'] ?? null), self::day($said['quiet_to'] ?? null)];
        $isWhole = $perDay !== null && $perDay > 0 && $perDay <= self::MOST && $pilot !== null && $stopAt !== null && $stopAt <= 100;
        if ($transfer === null || ! $isWhole || $budget === null || ($from === null) !== ($to === null) || $from > $to) {
            return null;
        }

        return new self(
            $transfer,
            max($start, $today->date()),
            $perDay,
            ($said['weekends'] ?? '0') === '1',
            $from,
            $to,
            min($pilot, self::MOST),
            $budget < 0 ? null : $budget,
            $stopAt,
        );
    }

    public function limits(Instant $now): Limits
    {
        $start = Instant::of($this->start);

        return new Limits(
            $start->isAfter($now) ? $start : $now,
            $this->perDay,
            $this->onWeekends ? [] : [6, 7],
            $this->quietFrom === null || $this->quietTo === null ? [] : [[Instant::of($this->quietFrom), Instant::of($this->quietTo)]],
            $this->budget === null ? null : $this->budget * 100,
            $this->pilot,
        );
    }

    /** The same, where the pilot has gone. */
    public function withoutPilot(): self
    {
        return new self(
            $this->transfer,
            $this->start,
            $this->perDay,
            $this->onWeekends,
            $this->quietFrom,
            $this->quietTo,
            0,
            $this->budget,
            $this->stopAt,
        );
    }

    /** @return array<string, string|int> as an address says it */
    public function said(): array
    {
        return [
            'account' => $this->transfer->accountId,
            'renews' => $this->transfer->renews ? '1' : '0',
            'authority' => $this->transfer->authority->value,
            'start' => $this->start,
            'per_day' => $this->perDay,
            'weekends' => $this->onWeekends ? '1' : '0',
            'quiet_from' => $this->quietFrom ?? '',
            'quiet_to' => $this->quietTo ?? '',
            'pilot' => $this->pilot,
            'budget' => $this->budget ?? '',
            'stop_at' => $this->stopAt,
        ];
    }

    /** @param  array<string, mixed>  $terms */
    public static function unpack(array $terms): self
    {
        $int = fn (string $key): int => is_int($terms[$key] ?? null) ? $terms[$key] : 0;
        $text = fn (string $key): ?string => is_string($terms[$key] ?? null) && $terms[$key] !== '' ? $terms[$key] : null;

        return new self(
            new TransferTerms(
                $int('account'),
                $text('renews') === '1',
                Authority::tryFrom($text('authority') ?? '') ?? Authority::Contract,
            ),
            $text('start') ?? '2000-01-01',
            max(1, $int('per_day')),
            $text('weekends') === '1',
            $text('quiet_from'),
            $text('quiet_to'),
            $int('pilot'),
            is_int($terms['budget'] ?? null) ? $terms['budget'] : null,
            $int('stop_at'),
        );
    }

    private static function day(mixed $said): ?string
    {
        $day = is_string($said) ? DateTimeImmutable::createFromFormat('!Y-m-d', $said) : false;

        return $day !== false && $day->format('Y-m-d') === $said ? $said : null;
    }
}
