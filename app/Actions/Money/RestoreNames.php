<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Lifecycle\Status;
use Acre\Core\Rulebook\Rulebook;
use App\Actions\Gates\GateOrders;
use App\Models\Account;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slips;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;

/** Deleted names are taken back while they are in redemption (RFC 3915); their registry is told why. */
final class RestoreNames extends BuyAtRegistrar
{
    /** Why a name was deleted that should not have been, as its registry is told. */
    private const REASONS = ['forgotten', 'not_asked', 'money', 'mistake'];

    /** What says of a name that it is deleted. */
    private const DELETED = [Status::RedemptionPeriod, Status::PendingRestore, Status::PendingDelete];

    public function __construct(
        Rulebook $book,
        GateOrders $gateOrders,
        Slips $slips,
        TradeClock $clock,
        JudgeRestorations $restorations,
        WriteLedger $ledger,
    ) {
        parent::__construct($book, $gateOrders, $slips, $clock, $restorations, $ledger);
    }

    public static function key(): string
    {
        return 'restore';
    }

    public function terms(array $said): ?array
    {
        $reason = $said['reason'] ?? self::REASONS[0];

        return in_array($reason, self::REASONS, true) ? ['reason' => $reason] : null;
    }

    public function said(array $terms): array
    {
        return ['reason' => self::reason($terms)];
    }

    public function choices(): array
    {
        $words = array_map(fn (string $one): string => self::text("deeds.restore.reasons.{$one}"), self::REASONS);

        return array_combine(self::REASONS, $words);
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Restore;
    }

    protected function orderTerms(HeldCase $file, array $terms): array
    {
        // Of a name that isn't known to be deleted nothing is ordered.
        $deleted = $file->life($this->book, $this->clock->now())->over();

        return [
            'reason' => self::text('deeds.restore.reported.'.self::reason($terms)),
            'deleted' => $deleted?->isoSecond() ?? '',
            ...$this->fee($file, $terms),
        ];
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        $registration->statuses = array_values(array_diff($registration->statuses, array_column(self::DELETED, 'value')));
        $registration->deleted_since = null;

        return [...parent::write($registration, $file, $terms), 'statuses', 'deleted_since'];
    }

    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        return [
            self::text('deeds.restore.slip_reason') => self::text('deeds.restore.reported.'.self::reason($terms)),
            ...parent::slipValues($account, $lines, $terms),
        ];
    }

    protected function inWords(array $terms): array
    {
        return [];
    }

    /** @param  array<string, mixed>  $terms */
    private static function reason(array $terms): string
    {
        return is_string($terms['reason'] ?? null) ? $terms['reason'] : self::REASONS[0];
    }
}
