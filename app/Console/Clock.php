<?php

declare(strict_types=1);

namespace App\Console;

use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use Acre\Wire\Text\Years;
use App\Actions\Standings\MakeStandings;
use App\Outside\World;
use App\Support\Dates;
use App\Support\Helper;
use App\Support\TradeClock;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** `./acre clock`: shows or moves the demo's day, and waits until every standing is made again. */
final class Clock extends Command
{
    protected $signature = 'acre:clock {to? : +3d, a date, or back}';

    protected $description = 'Show the trade clock, or move it forward; back resets the demo';

    public function handle(TradeClock $clock, MakeStandings $standings, World $world): int
    {
        $to = $this->argument('to');
        if (! is_string($to)) {
            $this->line('The clock now shows '.Dates::exact($clock->now()).'.');

            return self::SUCCESS;
        }
        if ($to === 'back') {
            return $this->call('acre:demo');
        }
        if (DB::table('settings')->where('key', 'demo')->doesntExist()) {
            $this->error('This is not a demo: its clock is the machine’s and can’t be moved.');

            return self::FAILURE;
        }
        try {
            $instant =
                preg_match('/^\+(\d{1,4})d$/D', $to, $days) === 1
                    ? $clock->now()->plusDays((int) $days[1])
                    : $this->morning(Instant::of($to));
        } catch (TimeError $e) {
            $this->error($e->getMessage().' You can also give +3d, or back.');

            return self::INVALID;
        }
        if (! Years::holds($instant->toDateTime())) {
            $this->error(
                'Give a day from '.Years::FIRST.' to '.Years::LAST.', not '.$instant->date().'.',
            );

            return self::INVALID;
        }
        if ($instant->isBefore($clock->now())) {
            $this->error('The clock only moves forward. To start again, reset the demo with ./acre clock back');

            return self::INVALID;
        }
        $world->moveTo($instant);
        $clock->set($instant);
        $helper = Helper::start('acre:standings');
        $made = $standings->due(fn (int $sofar) => $this->output->write("\r{$sofar} standings updated, as many again elsewhere"));
        $helper->wait();
        $this->line(($made > 0 ? "\n" : '').'The clock now shows '.Dates::exact($clock->now()).'.');

        return self::SUCCESS;
    }

    private function morning(Instant $given): Instant
    {
        return $given->epoch % 86_400 === 0 ? $given->plusSeconds(9 * 3600) : $given;
    }
}
