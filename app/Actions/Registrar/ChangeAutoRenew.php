<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\Ticked;
use App\Actions\Gates\GateOrders;
use App\Actions\Money\WriteRenewSetting;
use App\Models\DocketLine;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slips;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;

/** Whether the registrar renews by itself; our intent follows. */
final class ChangeAutoRenew extends DeedAtRegistrar implements Ticked
{
    public function __construct(
        Rulebook $book,
        GateOrders $orders,
        Slips $slips,
        TradeClock $clock,
        private readonly WriteRenewSetting $settings,
    ) {
        parent::__construct($book, $orders, $slips, $clock);
    }

    public static function key(): string
    {
        return 'change_auto_renew';
    }

    public function terms(array $said): ?array
    {
        $renews = $said['renews'] ?? null;

        return $renews === 'on' || $renews === 'off' ? ['renews' => $renews] : null;
    }

    public function said(array $terms): array
    {
        return ['renews' => self::isOn($terms) ? 'on' : 'off'];
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        return ($file->facts->intent === Intent::ByItself) === self::isOn($line->docket->terms);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        return [
            'before' => ['intent' => self::word($file->facts->intent)],
            'after' => ['intent' => self::word(self::after($file->facts->intent, $terms))],
        ];
    }

    protected function order(array $terms): OrderKind
    {
        return self::isOn($terms) ? OrderKind::AutoRenewOn : OrderKind::AutoRenewOff;
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return false;
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        $ends = $file->facts->ends;
        // What was charged already is not given back.
        $charged = $ends === null ? null : $file->late->chargedAhead($ends);

        return ! self::isOn($terms) && $charged !== null && $charged->hasComeAt($now) && $ends->isAfter($now)
            ? [Finding::of(BookFinding::MayBeCharged, Effect::Worth, null, at: $charged)]
            : [];
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        $this->settings->set($registration->name_id, $file->account->id, self::isOn($terms), $this->clock->now());
        $registration->intent = self::after($registration->intent, $terms);

        return ['intent'];
    }

    protected function inWords(array $terms): array
    {
        $said = __('deeds.change_auto_renew.to.'.(self::isOn($terms) ? 'on' : 'off'));

        return ['change' => is_string($said) ? $said : ''];
    }

    /** @param  array<string, mixed>  $terms */
    private static function isOn(array $terms): bool
    {
        return ($terms['renews'] ?? null) === 'on';
    }

    /** @param  array<string, mixed>  $terms */
    private static function after(Intent $before, array $terms): Intent
    {
        return self::isOn($terms) ? Intent::ByItself : ($before === Intent::ByItself ? Intent::WhenTold : $before);
    }

    private static function word(Intent $intent): string
    {
        $said = __('words.intent.'.$intent->value);

        return is_string($said) ? $said : $intent->value;
    }
}
