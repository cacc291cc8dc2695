<?php

declare(strict_types=1);

namespace App\Queries\Plans;

use App\Support\Row;

/** How far a migration has come. */
final readonly class PlanProgress
{
    /**
     * @param  int  $left  names that have a day and haven't gone
     * @param  int  $due  of them those whose day has come
     * @param  int  $without  names without a day
     */
    private function __construct(
        public int $left,
        public int $due,
        public int $moving,
        public int $done,
        public int $failed,
        public int $pilotFailed,
        public int $without,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('left'),
            $row->int('due'),
            $row->int('moving'),
            $row->int('done'),
            $row->int('failed'),
            $row->int('pilot_failed'),
            $row->int('without'),
        );
    }

    public function all(): int
    {
        return $this->left + $this->moving + $this->done + $this->failed + $this->without;
    }
}
