<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Money\Money;
use App\Models\DocketLine;

/** What a deed costs for one name, and which account pays it. */
final readonly class LineCost
{
    /** @param  Money  $sum  with tax */
    public function __construct(public Money $sum, public int $accountId)
    {
    }

    /** As `docket_lines` keeps it. */
    public static function of(DocketLine $line): ?self
    {
        return $line->costs === null || $line->costs_currency === null || $line->paying_account_id === null
            ? null
            : new self(Money::of($line->costs, $line->costs_currency), $line->paying_account_id);
    }

    /** @return array{costs: string|null, costs_currency: string|null, paying_account_id: int|null} columns of `docket_lines` */
    public static function columns(?self $cost): array
    {
        return [
            'costs' => $cost?->sum->decimal(),
            'costs_currency' => $cost?->sum->currency,
            'paying_account_id' => $cost?->accountId,
        ];
    }

    /** `11.88 GBP from 4`: what a page showed, to be compared. */
    public static function text(?self $cost): string
    {
        return $cost === null ? '' : "{$cost->sum->decimal()} {$cost->sum->currency} from {$cost->accountId}";
    }
}
