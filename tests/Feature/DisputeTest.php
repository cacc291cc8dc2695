<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use Acre\Core\Transfer\Dispute;
use App\Models\NameDispute;
use App\Models\Registrar;
use Illuminate\Database\QueryException;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What is disputed about a name stands in the way of its transfer, until it has ended. */
final class DisputeTest extends TestCase
{
    private House $house;

    private string $transfer;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->house->name('bell.com', facts: ['lock' => 'off', 'ends_on' => Instant::of('2028-01-01')]);
        $gaining = $this->house->account('L-1', null, Registrar::query()->create(['name' => 'Lantern Wholesale']));
        $this->transfer = "/deeds/transfer?name=bell.com&account={$gaining->id}";
        $this->actingAs($this->house->clerk);
    }

    #[TestWith(['proceeding', 'Its registrar must refuse a transfer: a proceeding about it is pending'])]
    #[TestWith(['unpaid', 'Its registrar may refuse a transfer: an earlier term is not paid'])]
    public function test_it_is_kept_seen_and_ended(string $kind, string $said): void
    {
        $this->get($this->transfer)->assertOk()->assertDontSee($said);
        $this->post('/names/bell.com/disputes', [
            'dispute' => $kind,
            'dispute_since' => '2026-09-01',
            'dispute_remarks' => 'case 26-114',
        ])->assertRedirect('/names/bell.com#behind');
        $this->get('/names/bell.com')
            ->assertSee(['since 1 Sep 2026', 'case 26-114', $said])
            ->assertDontSee('no obstacle known');
        $this->get($this->transfer)->assertOk()->assertSee($said);
        $this->post('/names/bell.com/disputes', ['dispute' => $kind])->assertRedirect();
        self::assertSame('2026-10-06', NameDispute::query()->sole()->since->date(), 'written down again it is corrected');
        $this->delete('/names/bell.com/disputes', ['dispute' => $kind])->assertRedirect();
        $this->delete('/names/bell.com/disputes', ['dispute' => $kind])->assertRedirect();
        $this->get($this->transfer)->assertOk()->assertDontSee($said);
        $this->get('/names/bell.com/history')->assertSee('A dispute was recorded')->assertSee('A dispute ended');
        self::assertSame(Dispute::from($kind), NameDispute::query()->whereNotNull('ended_on')->sole()->kind);
    }

    /** @param  array<string, mixed>  $typed */
    #[TestWith([['dispute' => 'paint']])]
    #[TestWith([['dispute' => ['proceeding']]])]
    #[TestWith([['dispute' => 'fraud', 'dispute_since' => '2026-10-07']])]
    #[TestWith([['dispute' => 'fraud', 'dispute_since' => 'soon']])]
    #[TestWith([['dispute' => 'fraud', 'dispute_remarks' => ['a']]])]
    public function test_what_can_not_be_is_refused(array $typed): void
    {
        $this->post('/names/bell.com/disputes', $typed)->assertSessionHasErrors();
        self::assertSame(0, NameDispute::query()->count());
    }

    public function test_who_only_reads_keeps_none(): void
    {
        $this->actingAs($this->house->reader);
        $this->post('/names/bell.com/disputes', ['dispute' => 'fraud'])->assertForbidden();
        $this->delete('/names/bell.com/disputes', ['dispute' => 'fraud'])->assertForbidden();
        $this->get('/names/bell.com')->assertDontSee('Record a dispute');
    }

    public function test_the_database_keeps_one_of_a_kind(): void
    {
        $row = ['name_id' => $this->house->name('gong.com')->id, 'kind' => 'fraud', 'since' => Instant::of('2026-10-01')];
        NameDispute::query()->create($row);
        $this->expectException(QueryException::class);
        NameDispute::query()->create($row);
    }
}
