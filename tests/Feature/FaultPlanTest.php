<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Fault;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** What a test plans for the process that it starts: tests/Faults rests on it. */
final class FaultPlanTest extends TestCase
{
    private function started(string $plan): Process
    {
        return new Process([PHP_BINARY, 'artisan', 'acre:standings'], base_path(), ['ACRE_FAULT' => $plan], null, 60);
    }

    #[TestWith(['nowhere:1'])]
    #[TestWith(['lines_locked'])]
    #[TestWith(['lines_locked:one'])]
    #[TestWith(['lines_locked:1:2:3'])]
    public function test_a_plan_that_can_not_be_read_is_said_and_nothing_is_done(string $plan): void
    {
        $process = $this->started($plan);
        self::assertNotSame(0, $process->run());
        self::assertStringContainsString('place:nth', $process->getOutput().$process->getErrorOutput());
    }

    public function test_a_place_that_is_never_reached_kills_nothing(): void
    {
        $process = $this->started('docket_proven:1');
        self::assertSame(0, $process->run(), $process->getErrorOutput());
        self::assertStringNotContainsString(Fault::STRUCK, $process->getErrorOutput());
    }

    public function test_after_the_nth_answer_of_the_database_the_process_is_gone(): void
    {
        $process = $this->started(Fault::STATEMENT.':1');
        try {
            $process->run();
            self::fail('It came to its end.');
        } catch (ProcessSignaledException) {
            self::assertSame(SIGKILL, $process->getTermSignal());
            self::assertStringContainsString(Fault::STRUCK, $process->getErrorOutput());
        }
    }

    public function test_this_process_has_none(): void
    {
        self::assertNull(Fault::planned());
    }
}
