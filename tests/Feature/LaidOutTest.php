<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Actions\Money\WriteLedger;
use App\Models\Name;
use Tests\TestCase;

/** What was laid out for a client in a span, with our surcharge. */
final class LaidOutTest extends TestCase
{
    public function test_a_sheet_and_a_list_of_what_was_charged_for_their_names(): void
    {
        $house = new House();
        $this->actingAs($house->clerk);
        $ledger = app(WriteLedger::class);
        $enter = fn (Name $name, string $sum, string $day, string $kind = 'renew') => $ledger->entry(
            $house->ours->id,
            $name->id,
            $kind === 'renew' ? 'renew' : 'refund',
            Money::of($sum, 'GBP'),
            Instant::of($day),
            'docket',
        );
        $bell = $house->name('bell.com');
        $enter($bell, '-9.90', '2026-03-02');
        $enter($bell, '-9.90', '2025-03-02');
        $enter($house->name('chime.com'), '-20.00', '2026-10-06T08:00:00Z');
        $enter($bell, '9.90', '2026-05-02', 'refund');
        // Theirs only since June; what was charged before was another's.
        $enter($house->name('late.com', since: '2026-06-01'), '-9.90', '2026-05-30');
        $enter($house->name('other.com', client: $house->harrow), '-9.90', '2026-04-01');
        $this->put("/clients/{$house->foundry->id}", [
            'name' => $house->foundry->name,
            'mailbox' => $house->foundry->mailbox,
            'surcharge_percent' => '15',
            'surcharge_each' => '2,50',
            'version' => 1,
        ])->assertSessionHasNoErrors();
        $page = "/clients/{$house->foundry->id}/laid-out";
        $this->get($page)
            ->assertOk()
            ->assertSee('from 1 Jan 2026 to 6 Oct 2026')
            // 15% of 9.90 are 1.49, and 2.50; a refund takes its share back.
            ->assertSeeInOrder(['bell.com', '£9.90', '£3.99', '£13.89', 'bell.com', '−£9.90', '−£1.49', 'chime.com', '£20.00', '£5.50'])
            ->assertSeeInOrder(['In all', '£20.00', '£8.00', '£28.00'])
            ->assertDontSee('other.com')
            ->assertDontSee('late.com');
        $this->get("{$page}?from=2026-12-31&until=2025-01-01")->assertSee('from 1 Jan 2025 to 31 Dec 2026')->assertSee('2 Mar 2025');
        $this->get("{$page}?from=2026-02-30&until[]=x")->assertOk()->assertSee('from 1 Jan 2026');
        $csv = $this->get("{$page}/list?from=2026-01-01&until=2026-10-06")->assertOk()->streamedContent();
        self::assertStringContainsString('"2026-03-02","bell.com","renew","9.90","3.99","13.89","GBP"', $csv);
        self::assertStringContainsString('"refund","-9.90","-1.49","-11.39"', $csv);
        self::assertSame(4, substr_count($csv, "\r\n"));
        foreach (['surcharge_percent' => '501', 'surcharge_each' => 'x'] as $field => $odd) {
            $this->put("/clients/{$house->foundry->id}", ['name' => 'x', $field => $odd, 'version' => 2])->assertSessionHasErrors($field);
        }
    }
}
