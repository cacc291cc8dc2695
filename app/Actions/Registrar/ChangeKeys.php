<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\DelegateChange;
use Acre\Core\Dnssec\KeysSeen;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Record\Record;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\Illustrated;
use App\Actions\Deeds\JudgesByStore;
use App\Actions\Deeds\SeenOutside;
use App\Actions\Gates\GateOrders;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slips;
use App\Queries\Names\HeldCase;
use App\Queries\Servers\LastPointing;
use App\Queries\Servers\ReadWatches;
use App\Queries\Servers\ServersWatched;
use App\Support\TradeClock;

/** DNSSEC turned on, with a DS of each key that the zone signs with, or off. What would break the name is not sent. */
final class ChangeKeys extends DeedAtRegistrar implements Illustrated, JudgesByStore, SeenOutside
{
    /** @var array<int, KeysSeen|null> by name */
    private array $seen = [];

    /** @var array<int, ServersWatched> the newest change of name servers, by name */
    private array $watched = [];

    /** @var list<string> DS of the line that is completed */
    private array $sent = [];

    public function __construct(
        Rulebook $book,
        GateOrders $orders,
        Slips $slips,
        TradeClock $clock,
        private readonly LastPointing $last,
        private readonly ReadWatches $watches,
    ) {
        parent::__construct($book, $orders, $slips, $clock);
    }

    public static function key(): string
    {
        return 'change_keys';
    }

    public function choices(): array
    {
        return ['on' => self::text('deeds.change_keys.to.on'), 'off' => self::text('deeds.change_keys.to.off')];
    }

    public function terms(array $said): ?array
    {
        $to = $said['dnssec'] ?? null;

        return $to === 'on' || $to === 'off' ? ['dnssec' => $to] : null;
    }

    public function said(array $terms): array
    {
        return ['dnssec' => self::isOn($terms) ? 'on' : 'off'];
    }

    public function beforeJudging(array $files, array $terms): void
    {
        $ids = array_map(fn (HeldCase $file): int => $file->nameId, $files);
        $this->seen = array_fill_keys($ids, null);
        foreach ($this->last->of($ids) as $id => $observed) {
            $this->seen[$id] = $observed->delegation?->keys?->seenAt($observed->last);
        }
        $this->watched = $this->watches->newest($ids);
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        // What was sent, or said on the slip, and not what the zone may have come to since.
        $sent = array_filter(array_map(Delegate::read(...), explode(', ', $line->after['ds'] ?? '')));
        $this->sent = array_values(array_map(strval(...), $sent));
        parent::complete($line, $file, $terms, $on);
    }

    public function isSeen(DocketLine $line, array $terms, Record $record): bool
    {
        // Where a directory names them, it is these that count.
        $there = $record->delegates;
        if (! self::isOn($terms) || $there === null) {
            return $record->signed === self::isOn($terms);
        }
        sort($there);

        return $there !== [] && implode(', ', $there) === ($line->after['ds'] ?? '');
    }

    public function picture(array $files, array $terms, Instant $now): array
    {
        return [];
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $seen = $this->seen($file);
        $there = $seen?->delegates === null
            ? self::text('deeds.change_keys.not_known')
            : self::told(array_map(strval(...), $seen->delegates));

        return ['before' => ['ds' => $there], 'after' => ['ds' => self::told($this->change($file, $terms, $this->clock->now())->target())]];
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Keys;
    }

    protected function orderTerms(HeldCase $file, array $terms): array
    {
        return ['ds' => implode(',', $this->change($file, $terms, $this->clock->now())->target())];
    }

    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        $values = [];
        foreach ($lines as $line) {
            $values[self::text('deeds.change_keys.of', ['name' => $line->name->unicode])] = $line->after['ds'] ?? '';
        }

        return $values;
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return $this->change($file, $terms, $this->clock->now())->isSo();
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        return [
            ...$file->facts->isUpdateProhibited() ? [Finding::of(BookFinding::UpdatesProhibited, Effect::Stops)] : [],
            ...$this->change($file, $terms, $now)->findings(),
        ];
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        $registration->delegates = $this->sent;

        return ['delegates'];
    }

    protected function inWords(array $terms): array
    {
        return ['change' => self::text('deeds.change_keys.to.'.(self::isOn($terms) ? 'on' : 'off'))];
    }

    /** @param  array<string, mixed>  $terms */
    private function change(HeldCase $file, array $terms, Instant $now): DelegateChange
    {
        $seen = $this->seen($file);
        $watched = $this->watched[$file->nameId] ?? null;

        return new DelegateChange(
            self::isOn($terms),
            $seen,
            $now,
            $watched?->isOnItsWay() === true,
            $watched?->cachedUntil,
        );
    }

    private function seen(HeldCase $file): ?KeysSeen
    {
        if (! array_key_exists($file->nameId, $this->seen)) {
            $this->beforeJudging([$file], []);
        }

        return $this->seen[$file->nameId];
    }

    /** @param  list<string>  $delegates */
    private static function told(array $delegates): string
    {
        return $delegates === [] ? self::text('deeds.change_keys.none') : implode(', ', $delegates);
    }

    /** @param  array<string, mixed>  $terms */
    private static function isOn(array $terms): bool
    {
        return ($terms['dnssec'] ?? null) === 'on';
    }
}
