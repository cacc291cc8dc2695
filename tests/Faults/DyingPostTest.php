<?php

declare(strict_types=1);

namespace Tests\Faults;

use Acre\Wire\Mail\MailLetter;
use App\Actions\Post\SendLetters;
use App\Support\Row;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\House;
use Tests\Feature\Worldly;

/**
 * Ten thousand letters in the queue, and a mail server that dies under them again and again, at moments that chance picks (its seed is
 * fixed).
 */
#[Group('heavy')]
final class DyingPostTest extends TestCase
{
    use Worldly;

    private const LETTERS = 10_000;

    private const BOXES = 20;

    private const WEATHER = ['the connection closes before the answer', 'garbage comes instead of the answer', 'its disk is full'];

    protected function setUp(): void
    {
        parent::setUp();
        Artisan::call('migrate:fresh', ['--database' => 'owner', '--force' => true]);
        DB::purge();
    }

    public function test_none_is_lost_none_goes_twice_knowingly_and_the_doubtful_ones_say_so(): void
    {
        $this->world();
        $house = new House();
        $run = 'dying-'.getmypid();
        DB::statement(
            "INSERT INTO letters (kind, user_id, mailbox, subject, body, written_on, day, about) SELECT 'alarm', ?,
                ? || (n % ?) || '@letters.example', 'Letter ' || n, 'Good day', now(), DATE '2026-10-06', 'dying ' || n
                FROM generate_series(1, ?) n",
            [$house->steward->id, "{$run}-", self::BOXES, self::LETTERS],
        );
        $chance = new Randomizer(new Mt19937(20261128));
        $left = fn (): int => Row::of(
            DB::selectOne("SELECT count(*) AS n FROM letters WHERE state IN ('waiting', 'sending') OR (state = 'doubtful' AND doubts < 2)"),
        )->int('n');
        for ($round = 0; $left() > 0; $round++) {
            self::assertLessThan(2_000, $round, 'it does not end');
            if ($chance->getInt(0, 2) === 0) {
                $this->world->weather(self::WEATHER[$chance->getInt(0, count(self::WEATHER) - 1)], $chance->getInt(1, 3), 'the post');
            }
            app(SendLetters::class)->handle();
            DB::update("UPDATE letters SET not_before = clock_timestamp() WHERE state IN ('waiting', 'doubtful')");
        }
        $this->world->weather('fair', 0, 'the post');
        $copies = [];
        for ($box = 0; $box < self::BOXES; $box++) {
            foreach ($this->world->letters("{$run}-{$box}@letters.example") as $raw) {
                $id = (string) MailLetter::read($raw)->id;
                $copies[$id] = ($copies[$id] ?? 0) + 1;
            }
        }
        $wrong = $doubted = 0;
        foreach (Row::all(DB::table('letters')->get(['message_id', 'state', 'doubts'])) as $letter) {
            $got = $copies[$letter->text('message_id')] ?? 0;
            $doubted += (int) ($letter->int('doubts') > 0);
            // Taken once, and once more for each time that nobody could know; one that is given up says that it may have been sent.
            $wrong += (int) match ($letter->text('state')) {
                'sent' => $got < 1 || $got > 1 + $letter->int('doubts'),
                'doubtful' => $got > $letter->int('doubts'),
                default => true,
            };
        }
        self::assertSame([0, self::LETTERS], [$wrong, DB::table('letters')->count()]);
        self::assertGreaterThan(0, $doubted, 'the post never fell silent: nothing was tried');
    }
}
