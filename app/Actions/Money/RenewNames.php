<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Rulebook\Rulebook;
use App\Actions\Gates\GateOrders;
use App\Models\Account;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slips;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;

/** Names are renewed at their registrars for some years. */
final class RenewNames extends BuyAtRegistrar
{
    private const MOST = 10;

    public function __construct(
        Rulebook $book,
        GateOrders $gateOrders,
        Slips $slips,
        TradeClock $clock,
        JudgeRenewals $renewals,
        WriteLedger $ledger,
    ) {
        parent::__construct($book, $gateOrders, $slips, $clock, $renewals, $ledger);
    }

    public static function key(): string
    {
        return 'renew';
    }

    /** @param  array<string, mixed>  $terms */
    public static function years(array $terms): int
    {
        return is_int($terms['years'] ?? null) ? $terms['years'] : 1;
    }

    public function terms(array $said): ?array
    {
        $years = $said['years'] ?? 1;
        $years = is_numeric($years) ? (int) $years : 0;

        return $years < 1 || $years > self::MOST ? null : ['years' => $years];
    }

    public function said(array $terms): array
    {
        return ['years' => self::years($terms)];
    }

    public function choices(): array
    {
        return array_combine(
            range(1, self::MOST),
            array_map(fn (int $years): string => trans_choice('deeds.renew.years', $years, ['count' => $years]), range(1, self::MOST)),
        );
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Renew;
    }

    protected function orderTerms(HeldCase $file, array $terms): array
    {
        return [
            'ends' => $file->facts->ends?->date() ?? '',
            'years' => (string) self::years($terms),
            ...$this->fee($file, $terms),
        ];
    }

    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        return [self::text('deeds.renew.slip_years') => (string) self::years($terms), ...parent::slipValues($account, $lines, $terms)];
    }

    protected function inWords(array $terms): array
    {
        return ['years' => trans_choice('deeds.renew.years', self::years($terms), ['count' => self::years($terms)])];
    }
}
