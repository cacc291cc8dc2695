<?php

declare(strict_types=1);

namespace App\Support;

use Acre\Core\Time\Instant;
use Illuminate\Database\Connection;

/**
 * Trade time: what rules, deadlines and holdings are judged by. The machine's clock plus an offset that the demo can move.
 * Sessions, queue, locks and log go by the machine's own time.
 */
final class TradeClock
{
    private const KEY = 'trade_offset';

    private ?int $offset = null;

    public function __construct(private readonly Connection $database)
    {
    }

    public function now(): Instant
    {
        return Instant::second(time() + $this->offset());
    }

    public function today(): Instant
    {
        return $this->now()->toDay();
    }

    /** Whether a day is over, in trade time; one that is not known never is. */
    public function isPast(?Instant $day): bool
    {
        return $day?->isBefore($this->today()) === true;
    }

    /** Sets the clock so that it shows `$instant` now and runs on from there. */
    public function set(Instant $instant): void
    {
        $this->offset = $instant->epoch - time();
        $this->database->table('settings')->upsert([['key' => self::KEY, 'value' => (string) $this->offset]], ['key'], ['value']);
    }

    /** What this process remembers of the offset; a worker asks again before each job. */
    public function forget(): void
    {
        $this->offset = null;
    }

    private function offset(): int
    {
        if ($this->offset === null) {
            $stored = $this->database->table('settings')->where('key', self::KEY)->value('value');
            $this->offset = is_numeric($stored) ? (int) $stored : 0;
        }

        return $this->offset;
    }
}
