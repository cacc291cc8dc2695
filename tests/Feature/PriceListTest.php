<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Price;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** A registrar's price list as a file: what can be read of it is recorded, the rest is told with its line. */
final class PriceListTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->actingAs($this->house->clerk);
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function list(string $text, array $more = []): TestResponse
    {
        return $this->post("/registrars/{$this->house->skerry->id}/prices/list", $more + [
            'list' => UploadedFile::fake()->createWithContent('prices.csv', $text),
            'list_currency' => 'GBP',
            'list_tax' => '20',
            'list_since' => '2026-11-01',
        ]);
    }

    /** @return list<string> suffix, action, amount and currency of what holds from November on */
    private static function prices(): array
    {
        $prices = Price::query()
            ->whereRaw("span @> '2026-11-02'::timestamptz")
            ->orderBy('suffix')
            ->orderBy('action')
            ->get()
            ->all();

        return array_map(
            fn (Price $price): string => "{$price->suffix} {$price->action} {$price->net()->decimal()} {$price->currency}",
            array_values($prices),
        );
    }

    public function test_a_row_for_each_suffix(): void
    {
        $this->list("TLD,Register,Renew,Transfer,Renewal\n.com,9.00,10.50,8.25,99\n.co.uk,6.00,6.40,0,\n*.org,11,-,n/a,\n")
            ->assertSessionHas('told', '7 prices were added.')
            ->assertSessionHas('refused', []);
        self::assertSame([
            'co.uk add 6.00 GBP',
            'co.uk renew 6.40 GBP',
            'co.uk transfer 0.00 GBP',
            'com add 9.00 GBP',
            'com renew 10.50 GBP',
            'com transfer 8.25 GBP',
            'org add 11.00 GBP',
        ], self::prices());
        $before = Price::query()->where('action', 'renew')->where('suffix', 'com')->orderByRaw('lower(span)')->firstOrFail();
        self::assertSame('2026-11-01', $before->span->until?->date(), 'the earlier one ends on that day');
        $this->get("/registrars/{$this->house->skerry->id}")->assertSee('£12.60');
    }

    /** As a foreigner's spreadsheet writes it. */
    public function test_a_row_for_each_price(): void
    {
        $list = ['Endung;Vorgang;Preis;Währung', 'de;Verlängerung;1.234,50;EUR', 'рф;Transfer;12,5 €;', 'de;Restore;4;JPY', ''];
        $this->list("\xEF\xBB\xBF".implode("\r\n", $list))
            ->assertSessionHas('told', '3 prices were added.');
        self::assertSame([
            'com renew 9.90 GBP',
            'de renew 1234.50 EUR',
            'de restore 4 JPY',
            'xn--p1ai transfer 12.50 EUR',
        ], self::prices());
    }

    public function test_the_rest_is_kept_and_what_is_refused_is_told(): void
    {
        $rows = ['com,renew,8', 'not a suffix,renew,8', 'net,paint,8', 'net,renew,dear', 'com,renew,9', 'com,renew,8', 'org,add,5'];
        $this->list("suffix,action,amount\n".implode("\n", $rows))
            ->assertSessionHas('told', '2 prices were added.')
            ->assertSessionHas('refused', fn (array $refused): bool => array_map(
                fn (mixed $one): string => is_string($one) ? substr($one, 0, 7) : '',
                $refused,
            ) === ['Line 3:', 'Line 4:', 'Line 5:', 'Line 6:']);
        self::assertSame(['com renew 8.00 GBP', 'org add 5.00 GBP'], self::prices());
        $this->followingRedirects();
        $this->list("suffix,action,amount\nnet,paint,8\n")
            ->assertSee('No price was added.')
            ->assertSee('Line 2: “paint” is no action that has a price.');
    }

    #[TestWith(["name,other\na,b\n", 'It needs a heading for the suffix'])]
    #[TestWith(["suffix,action\ncom,renew\n", 'It needs a heading for the suffix'])]
    #[TestWith(["amount,action\n1,renew\n", 'It needs a heading for the suffix'])]
    #[TestWith(['%PDF-1.4', 'a PDF'])]
    #[TestWith(['', 'empty'])]
    public function test_what_is_no_price_list_is_refused(string $text, string $why): void
    {
        $this->followingRedirects()->list($text)->assertSee($why);
        self::assertSame(['com renew 9.90 GBP'], self::prices());
    }

    /** @param  array<string, mixed>  $typed */
    #[TestWith([['list' => 'com,renew,1']])]
    #[TestWith([['list' => ['a']]])]
    #[TestWith([['list_currency' => 'XXQ']])]
    #[TestWith([['list_currency' => ['GBP']]])]
    #[TestWith([['list_tax' => '101']])]
    #[TestWith([['list_since' => '1.11.2026']])]
    public function test_what_is_typed_beside_it_is_judged(array $typed): void
    {
        $this->list("suffix,action,amount\ncom,renew,8\n", $typed)->assertSessionHasErrors(array_keys($typed));
        self::assertSame(['com renew 9.90 GBP'], self::prices());
    }

    /** A price that begins later stays, and ends the new one; one of the same day is corrected. */
    public function test_it_stands_between_those_before_and_after(): void
    {
        $this->list("suffix,renew\ncom,12\n", ['list_since' => '2027-01-01']);
        $this->list("suffix,renew\ncom,11\n");
        $this->list("suffix,renew\ncom,11.50\n");
        self::assertSame(
            [['9.90', '2026-11-01'], ['11.50', '2027-01-01'], ['12.00', null]],
            array_map(
                fn (Price $price): array => [$price->net()->decimal(), $price->span->until?->date()],
                array_values(Price::query()->where('suffix', 'com')->orderByRaw('lower(span)')->get()->all()),
            ),
        );
    }

    /** More than one batch, and more than is read. */
    public function test_a_long_list(): void
    {
        $rows = fn (int $count): string => implode("\n", array_map(fn (int $one): string => "s{$one},5.00", range(1, $count)));
        $this->list("suffix,renew\n".$rows(2_500))->assertSessionHas('told', '2,500 prices were added.');
        self::assertSame(2_500, Price::query()->where('amount', '5.00')->count());
        $this->followingRedirects()->list("suffix,renew\n".$rows(20_001))->assertSee('It has more than 20,000 rows: take it in parts.');
    }

    public function test_who_only_reads_adds_none(): void
    {
        $this->actingAs($this->house->reader);
        $this->list("suffix,renew\ncom,8\n")->assertForbidden();
    }
}
