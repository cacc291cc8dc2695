<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\ServersChange;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Delegation\ServersFinding;
use Acre\Core\Dnssec\DelegatesBefore;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\Illustrated;
use App\Actions\Deeds\JudgesByStore;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\SeenOutside;
use App\Actions\Deeds\Ticked;
use App\Actions\Gates\GateOrders;
use App\Actions\Servers\WatchServers;
use App\Actions\Servers\ZoneCopies;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\NamedSet;
use App\Models\Registration;
use App\Models\ServersKept;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slips;
use App\Queries\Names\HeldCase;
use App\Queries\Servers\KeptDelegates;
use App\Queries\Servers\ServerChecks;
use App\Queries\Servers\ServersBefore;
use App\Support\TradeClock;

/** Other name servers: a set, or those that each name had before a docket changed them. */
final class ChangeServers extends DeedAtRegistrar implements Illustrated, JudgesByStore, SeenOutside, Ticked
{
    /** @var array<int, ChangeSeen|null> by name: what servers said */
    private array $seen = [];

    /** @var array<int, DelegatesBefore> by name: what resolvers may still keep */
    private array $gone = [];

    /** @var array<int, ServerSet> by name: those before the docket that is taken back */
    private array $before = [];

    public function __construct(
        Rulebook $book,
        GateOrders $orders,
        Slips $slips,
        TradeClock $clock,
        private readonly ServerChecks $checks,
        private readonly ServersBefore $then,
        private readonly KeptDelegates $delegates,
        private readonly ZoneCopies $copies,
        private readonly WatchServers $watch,
    ) {
        parent::__construct($book, $orders, $slips, $clock);
    }

    public static function key(): string
    {
        return 'change_servers';
    }

    public function choices(): array
    {
        /** @var array<int, string> $sets */
        $sets = NamedSet::query()->orderBy('name')->limit(1_000)->pluck('name', 'id')->all();

        return $sets;
    }

    /** The servers are those of the set on the day; a set that changes later changes no docket. */
    public function terms(array $said): ?array
    {
        $accept = self::accepted($said['accept'] ?? null);
        $back = $said['back'] ?? null;
        if (is_numeric($back)) {
            return ['back' => (int) $back, 'accept' => $accept];
        }
        $id = $said['set'] ?? null;
        $set = is_numeric($id) ? NamedSet::query()->find((int) $id) : null;

        return $set === null
            ? null
            : ['set' => $set->id, 'called' => $set->name, 'servers' => ServersKept::of($set->value()), 'accept' => $accept];
    }

    public function said(array $terms): array
    {
        $accept = implode(',', self::accepted($terms['accept'] ?? null));

        return array_filter(
            [
                'set' => is_int($terms['set'] ?? null) ? $terms['set'] : '',
                'back' => is_int($terms['back'] ?? null) ? $terms['back'] : '',
                'accept' => $accept,
            ],
            fn (int|string $one): bool => $one !== '',
        );
    }

    public function beforeJudging(array $files, array $terms): void
    {
        $this->readBefore($files, $terms);
        $this->seen = [];
        $this->gone = $this->delegates->gone(array_map(fn (HeldCase $file): int => $file->nameId, $files));
        foreach ($this->bySet($files, $terms) as [$set, $ids]) {
            $this->seen += array_fill_keys($ids, null);
            $this->seen = array_replace($this->seen, $this->checks->of($ids, $set));
        }
    }

    /**
     * The names that are to get the same servers, together.
     *
     * @param  list<HeldCase>  $files
     * @param  array<string, mixed>  $terms
     * @return array<string, array{ServerSet, list<int>}>
     */
    public function bySet(array $files, array $terms): array
    {
        $this->readBefore($files, $terms);
        $together = [];
        foreach ($files as $file) {
            $set = $this->target($file, $terms);
            $key = ServersKept::digest($set);
            $together[$key] = [$set, [...$together[$key][1] ?? [], $file->nameId]];
        }

        return $together;
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $seen = $this->seen($file, $terms);
        if ($seen?->before !== null) {
            $toldBy = implode(' ', $seen->standing->parent ?? []);
            $this->copies->keep($file->nameId, $seen->before, 'asked', $toldBy, $seen->at, $line->docket_id);
        }
        $this->watch->begin($line, $this->target($file, $terms), $seen, $now);

        return parent::perform($line, $file, $readiness, $terms, $now, $openings);
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        parent::abandon($line, $now);
        $this->watch->callOff($line);
    }

    public function isSeen(DocketLine $line, array $terms, Record $record): bool
    {
        return $record->isServedBy(explode(' ', $line->after['servers'] ?? ''));
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        return implode(' ', $file->servers) === ($line->after['servers'] ?? '');
    }

    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        parent::undo($file, $line, $by, $now);
        $this->watch->callOff($line);
    }

    public function picture(array $files, array $terms, Instant $now): array
    {
        $open = 0;
        $last = null;
        foreach ($this->bySet($files, $terms) as [$set, $ids]) {
            $progress = $this->checks->progress($ids, $set);
            $open += $progress['open'];
            $last = $last === null || ($progress['last'] !== null && $last->isBefore($progress['last'])) ? $progress['last'] : $last;
        }

        return ['open' => $open, 'last' => $last, 'terms' => $terms];
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        return [
            'before' => ['servers' => $this->differing($file) ?? implode(' ', $file->servers)],
            'after' => ['servers' => implode(' ', $this->target($file, $terms)->hosts())],
        ];
    }

    /**
     * The change of one name, to be shown in full.
     *
     * @param  array<string, mixed>  $terms
     */
    public function change(HeldCase $file, array $terms, Instant $now): ServersChange
    {
        $seen = $this->seen($file, $terms);

        return new ServersChange(
            $file->facts->name,
            $this->target($file, $terms),
            $seen,
            $now,
            array_map(ServersFinding::from(...), self::accepted($terms['accept'] ?? null)),
            $this->gone[$file->nameId] ?? null,
            $this->book->for($file->facts->name->suffix(), $now)->serversChecked->value,
        );
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Servers;
    }

    protected function orderTerms(HeldCase $file, array $terms): array
    {
        $target = $this->target($file, $terms);
        $glue = [];
        foreach ($target->servers as $server) {
            if ($server->isWithin($file->facts->name->ascii) && $server->addresses !== []) {
                $glue[] = "{$server->host}=".implode(',', $server->addresses);
            }
        }

        return ['servers' => implode(' ', $target->hosts())] + ($glue === [] ? [] : ['glue' => implode(' ', $glue)]);
    }

    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        $names = [];
        foreach ($lines as $line) {
            $names[$line->after['servers'] ?? ''][] = $line->name->unicode;
        }
        if (count($names) === 1) {
            return [self::text('deeds.change_servers.servers') => str_replace(' ', "\n", (string) array_key_first($names))];
        }

        return array_flip(
            array_map(fn (array $of): string => self::text('deeds.change_servers.of', ['names' => implode(', ', $of)]), $names),
        );
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return $this->target($file, $terms)->isExactly($file->servers) && $this->differing($file) === null;
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        $target = $this->target($file, $terms);
        if ($target->servers === []) {
            return [Finding::of(BookFinding::NoServers, Effect::Stops)];
        }

        return [
            ...$file->facts->isUpdateProhibited() ? [Finding::of(BookFinding::UpdatesProhibited, Effect::Stops)] : [],
            ...$this->change($file, $terms, $now)->findings(),
        ];
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        $registration->servers = $this->target($file, $terms)->hosts();

        return ['servers'];
    }

    protected function inWords(array $terms): array
    {
        $called = $terms['called'] ?? null;

        return [
            'set' => is_string($called)
                ? $called
                : self::text('deeds.change_servers.back', ['docket' => is_int($terms['back'] ?? null) ? (string) $terms['back'] : '']),
        ];
    }

    /** @param  array<string, mixed>  $terms */
    private function target(HeldCase $file, array $terms): ServerSet
    {
        if (! isset($terms['back'])) {
            return ServersKept::read($terms['servers'] ?? []);
        }
        if (! isset($this->before[$file->nameId])) {
            $this->readBefore([$file], $terms);
        }

        return $this->before[$file->nameId];
    }

    /** @param  array<string, mixed>  $terms */
    private function seen(HeldCase $file, array $terms): ?ChangeSeen
    {
        if (! array_key_exists($file->nameId, $this->seen)) {
            $this->beforeJudging([$file], $terms);
        }

        return $this->seen[$file->nameId];
    }

    /**
     * @param  list<HeldCase>  $files
     * @param  array<string, mixed>  $terms
     */
    private function readBefore(array $files, array $terms): void
    {
        $this->before = is_int($terms['back'] ?? null)
            ? $this->then->docket($terms['back'], array_map(fn (HeldCase $file): int => $file->nameId, $files))
            : [];
    }

    /** What the registry has instead of what our record says; null: nothing else is known. */
    private function differing(HeldCase $file): ?string
    {
        foreach ($file->drifts as $drift) {
            $seen = $drift->finding->with['seen'] ?? null;
            if ($drift->tag === RecordFinding::ServersChanged && is_string($seen)) {
                return $seen;
            }
        }

        return null;
    }

    /** @return list<string> values of findings that are meant to happen */
    private static function accepted(mixed $said): array
    {
        $said = is_string($said) ? explode(',', $said) : (is_array($said) ? $said : []);
        $may = array_map(fn (ServersFinding $one): string => $one->value, ServersFinding::acceptable());

        return array_values(array_intersect($may, array_filter($said, is_string(...))));
    }
}
