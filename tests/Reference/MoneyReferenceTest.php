<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Money\Decimals;
use Acre\Core\Money\Money;
use Illuminate\Support\Facades\DB;
use NumberFormatter;
use Random\Engine\Mt19937;
use Random\Randomizer;
use ResourceBundle;
use Tests\TestCase;

/** Amounts, held against PostgreSQL's numeric, which rounds halves away from nothing. */
final class MoneyReferenceTest extends TestCase
{
    /** ISO 4217's minor units, held against ICU: where ICU follows what people do instead (RSD, LAK …), ISO's two stand. */
    public function test_decimals_agree_with_icu(): void
    {
        $icu = function (string $currency): int {
            $formatter = new NumberFormatter("en@currency={$currency}", NumberFormatter::CURRENCY);

            return (int) $formatter->getAttribute(NumberFormatter::FRACTION_DIGITS);
        };
        $known = ResourceBundle::create('en', 'ICUDATA-curr')?->get('Currencies');
        self::assertInstanceOf(ResourceBundle::class, $known);
        $checked = 0;
        foreach ($known as $currency => $words) {
            self::assertIsString($currency);
            $ours = Decimals::of($currency);
            if ($ours !== 2 || $icu($currency) > 2) {
                self::assertContains($icu($currency), $ours === 3 ? [3, 0] : [$ours], $currency);
                $checked++;
            }
        }
        self::assertGreaterThan(24, $checked);
        self::assertSame([2, 2, 2, 2], array_map($icu, ['GBP', 'EUR', 'USD', 'CHF']));
    }

    public function test_taxes_and_sums_agree_with_numeric(): void
    {
        $random = new Randomizer(new Mt19937(4217));
        $cases = [];
        for ($case = 0; $case < 4000; $case++) {
            $cases[] = [
                'net' => sprintf('%d.%02d', $random->getInt(0, 2000), $random->getInt(0, 99)),
                'percent' => sprintf('%d.%02d', $random->getInt(0, 30), $random->getInt(0, 99)),
                'fee' => sprintf('%d.%02d', $random->getInt(0, 200), $random->getInt(0, 99)),
                'years' => $random->getInt(1, 10),
            ];
        }
        /** @var list<object{gross: string, late: string, years: string}> $rows */
        $rows = DB::select(
            <<<'SQL'
            SELECT round(net * (1 + percent / 100), 2)::text AS gross, (net + fee)::text AS late, (net * years)::text AS years
            FROM ROWS FROM (jsonb_to_recordset(?::jsonb) AS (net numeric, percent numeric, fee numeric,
            years int)) WITH ORDINALITY AS c(net, percent, fee, years, place) ORDER BY place
            SQL
            ,
            [json_encode($cases)],
        );
        foreach ($cases as $place => $case) {
            $net = Money::of($case['net'], 'GBP');
            self::assertSame($rows[$place]->gross, $net->withTax($case['percent'])->decimal(), "{$case['net']} with {$case['percent']} %");
            self::assertSame($rows[$place]->late, $net->plus(Money::of($case['fee'], 'GBP'))->decimal());
            self::assertSame($rows[$place]->years, $net->times($case['years'])->decimal());
        }
    }
}
