<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Actions\Money\KeepExpected;
use App\Actions\Money\KeepMoney;
use App\Actions\Money\WriteLedger;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** A registrar's statement is brought in, entered once, and compared with what was expected. */
final class StatementTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->house->name('bell.com', facts: ['ends_on' => Instant::of('2026-10-15'), 'intent' => 'by_itself']);
        $this->house->name('chime.com', facts: ['ends_on' => Instant::of('2026-10-15'), 'intent' => 'by_itself']);
        $this->actingAs($this->house->clerk);
    }

    /** As several programs and languages write it. */
    #[TestWith(["Date,Description,Amount\n2026-10-08,Renewal bell.com,-9.90\n2026-10-09,Top-up by card,50.00\n"])]
    #[TestWith(["Date;Domain;Details;Debit;Credit\r\n08/10/2026;bell.com;Renewal;9.90;\r\n09/10/2026;;Payment;;50.00\r\n
        28/10/2025;;Fee;;\r\n"])]
    #[TestWith(["Datum\tDomain\tLeistung\tSoll\tHaben\n08.10.2026\tBELL.com\tVerlängerung\t9,90\t\n09.10.2026\t\tEinzahlung\t\t50,00\n"])]
    #[TestWith(["Date,Item,Total\n\"Oct 8, 2026\",\"Domain renewal - bell.com (1 year)\",£9.90\n\"Oct 9, 2026\",Deposit,£50.00\n"])]
    #[TestWith(["Date,Description,Amount,Currency\n2026-10-08,Renewal bell.com,(9.90),GBP\n2026-10-09,Deposit,50,GBP\n"])]
    public function test_a_statement_is_entered_however_it_is_written(string $csv): void
    {
        $this->bring($csv)->assertSessionHasNoErrors();
        self::assertSame(
            ['renew bell.com -9.90 2026-10-08', $this->second()],
            $this->ledger(),
        );
        $this->bring($csv);
        self::assertCount(2, $this->ledger(), 'brought in once more, nothing is new');
        $this->get("/accounts/{$this->house->ours->id}/money")->assertSee('−£9.90')->assertSee('a statement');
    }

    public function test_what_we_entered_ourselves_is_told_for_the_same(): void
    {
        $id = DB::table('names')->where('ascii', 'bell.com')->value('id');
        app(WriteLedger::class)->entry(
            $this->house->ours->id,
            is_int($id) ? $id : 0,
            'renew',
            Money::of('-9.90', 'GBP'),
            Instant::of('2026-10-06T09:00:00Z'),
            'docket',
        );
        $this->bring("Date,Domain,Amount\n2026-10-08,bell.com,-9.90\n2026-10-08,bell.com,-9.90\n2026-10-20,bell.com,-9.90\n")
            ->assertSessionHas('told', '2 lines were entered. One was known already.');
        self::assertCount(3, $this->ledger());
    }

    public function test_lines_that_can_t_be_read_are_told_and_the_rest_is_kept(): void
    {
        $this->bring("Date,Description,Amount\n2026-10-08,Renewal bell.com,-9.90\nyesterday,Renewal chime.com,-9.90\n2026-10-09,Odd,abc\n")
            ->assertSessionHasNoErrors()
            ->assertSessionHas('refused', fn (mixed $told): bool => is_array($told) && count($told) === 2);
        self::assertCount(1, $this->ledger());
        $this->get("/accounts/{$this->house->ours->id}/money")->assertSee('yesterday');
    }

    #[TestWith(["a,b\n1,2\n", 'has no column for the date'])]
    #[TestWith(["Date,Amount\n03/04/2026,-9.90\n05/06/2026,-9.90\n", 'Choose their order'])]
    #[TestWith(['', 'empty'])]
    public function test_what_is_no_statement_is_refused(string $csv, string $why): void
    {
        $this->bring($csv)->assertSessionHasErrors('statement');
        $this->bring($csv);
        $this->get("/accounts/{$this->house->ours->id}/money")->assertSee($why);
        self::assertSame([], $this->ledger());
    }

    public function test_the_order_of_dates_can_be_said(): void
    {
        $this->bring("Date,Domain,Amount\n03/04/2026,bell.com,-9.90\n", ['statement_dates' => 'mdy'])->assertSessionHasNoErrors();
        self::assertSame(['renew bell.com -9.90 2026-03-04'], $this->ledger());
        $this->actingAs($this->house->reader);
        $this->bring("Date,Domain,Amount\n2026-04-03,bell.com,-9.90\n")->assertForbidden();
    }

    public function test_what_was_charged_other_than_expected_is_said_with_whom_to_ask(): void
    {
        app(KeepMoney::class)->balance($this->house->steward, $this->house->ours, Money::of('100', 'GBP'));
        app(KeepExpected::class)->handle();
        app(KeepExpected::class)->handle();
        self::assertSame(2, DB::table('expected_charges')->count(), 'kept once');
        $this->bring("Date,Description,Amount\n2026-10-08,Renewal bell.com,-12.00\n2026-10-09,Renewal of stranger.example.com,-9.90\n");
        app(TradeClock::class)->set(Instant::of('2026-10-20T09:00:00Z'));
        $this->get("/accounts/{$this->house->ours->id}/money")
            ->assertSee('Not as expected')
            ->assertSee('bell.com cost £12.00 on 8 Oct 2026, not £9.90. Compare Skerry Registrations’s price list')
            ->assertSee('chime.com should have been charged on 8 Oct 2026, £9.90')
            ->assertSee('stranger.example.com”, charged on 9 Oct 2026 with £9.90, is no name of ours', false);
    }

    /**
     * @param  array<string, string>  $said
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function bring(string $csv, array $said = []): \Illuminate\Testing\TestResponse
    {
        return $this->post("/accounts/{$this->house->ours->id}/statement", $said + [
            'statement' => UploadedFile::fake()->createWithContent('statement.csv', $csv),
            'statement_currency' => 'GBP',
        ]);
    }

    /** @return list<string> */
    private function ledger(): array
    {
        return array_map(
            fn (Row $row): string => trim("{$row->text('kind')} {$row->textOrNull('ascii')} {$row->text('amount')} ".
                substr($row->text('charged_on'), 0, 10)),
            Row::all(DB::select('SELECT l.kind, n.ascii, l.amount, l.charged_on FROM ledger l LEFT JOIN names n ON n.id = l.name_id
                ORDER BY l.charged_on, l.id')),
        );
    }

    private function second(): string
    {
        return $this->ledger()[1] ?? '';
    }
}
