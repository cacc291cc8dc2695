<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Delegation\ServerSet;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use Acre\Core\Zone\Comparison;
use Acre\Core\Zone\Difference;
use Acre\Core\Zone\RecordsWanted;
use Acre\Core\Zone\SetWanted;
use Acre\Core\Zone\ZoneCopy;
use App\Actions\Deeds\HasPage;
use App\Actions\Deeds\JudgesByStore;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\SaysItself;
use App\Actions\Servers\RecordsTyped;
use App\Actions\Servers\WatchRecords;
use App\Actions\Servers\ZoneCopies;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\NamedSet;
use App\Models\SetKind;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slip;
use App\Queries\Dockets\SlipLot;
use App\Queries\Dockets\Slips;
use App\Queries\Dockets\SlipStep;
use App\Queries\Names\HeldCase;
use Illuminate\Database\Connection;

/** Records of zones changed by whoever keeps them: an order or a slip for each, and a look whether every server says it. */
final class ChangeRecords implements HasPage, JudgesByStore
{
    use SaysItself;

    /** @var array<int, ZoneCopy|null> the newest copy of each name's zone */
    private array $zones = [];

    /** @var array<int, array<int, ServerSet>> name servers of registrars' own, by registrar */
    private array $own = [];

    /** @var array<string, RecordsWanted> by what was typed */
    private array $typed = [];

    public function __construct(
        private readonly ZoneCopies $copies,
        private readonly WatchRecords $watch,
        private readonly Slips $slips,
        private readonly Connection $database,
    ) {
    }

    public static function key(): string
    {
        return 'change_records';
    }

    public function choices(): array
    {
        return [];
    }

    public function terms(array $said): ?array
    {
        $text = is_string($said['records'] ?? null) ? mb_substr($said['records'], 0, 8_000) : '';
        $typed = RecordsTyped::read($text);

        return $typed->wanted->sets === [] || $typed->wrong !== [] ? null : ['records' => self::plain($typed->wanted)];
    }

    public function said(array $terms): array
    {
        return ['records' => self::typed($terms)];
    }

    public function beforeJudging(array $files, array $terms): void
    {
        $ids = array_map(fn (HeldCase $file): int => $file->nameId, $files);
        $this->zones = array_replace(array_fill_keys($ids, null), $this->copies->newest($ids));
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $zone = $this->zone($file);
        $wanted = $this->wanted($file, $terms);

        return Readiness::of(
            $zone !== null && $wanted->isIn($zone)
                ? [Finding::of(BookFinding::AlreadySo, Effect::Stops)]
                : $wanted->findings($zone),
            [],
        );
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $zone = $this->zone($file);
        if ($zone !== null) {
            $this->copies->keep($file->nameId, $zone, 'asked', '', $now, $line->docket_id);
        }
        $this->watch->begin($line, $this->wanted($file, $terms), $now);
        if ($this->isKeptByRegistrar($file)) {
            $openings->order($line, $file->account->id, OrderKind::Records, ['records' => self::plain($this->wanted($file, $terms))]);
        }

        return LineState::Begun;
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        $this->watch->callOff($line);
    }

    /** For whoever runs the servers that its names have. */
    public function slip(Docket $docket): Slip
    {
        $keepers = $this->keepers();
        $lines = $this->slips->openLines($docket);
        /** @var array<int, string> $servers */
        $servers = $this->database
            ->table('standings')
            ->whereIn('name_id', $lines->map(fn (DocketLine $line): int => $line->name_id))
            ->pluck('servers', 'name_id')
            ->all();
        $lots = [];
        foreach ($lines as $line) {
            $hosts = $servers[$line->name_id] ?? '';
            $lots[$keepers[$hosts] ?? $hosts][] = $line;
        }
        $slip = [];
        foreach ($lots as $keeper => $lines) {
            $account = $lines[0]->givingAccount;
            if ($account !== null) {
                $values = [self::word('records') => self::typed($docket->terms)];
                $slip[] = new SlipLot(count($slip) + 1, $account, $lines, [new SlipStep('records', $values, true)], [], (string) $keeper);
            }
        }

        return new Slip(null, $slip);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $zone = $this->zone($file);
        $differences = $zone === null ? [] : Comparison::of($zone, $this->wanted($file, $terms)->applied($zone))->differences;
        $before = array_map(fn (Difference $one): string => $one->label().' '.implode(', ', $one->before->data ?? ['–']), $differences);
        $after = array_map(fn (Difference $one): string => $one->label().' '.implode(', ', $one->after->data ?? ['–']), $differences);

        return [
            'before' => ['records' => implode('; ', $before)],
            'after' => ['records' => implode('; ', $after)],
        ];
    }

    protected function inWords(array $terms): array
    {
        return ['records' => str_replace("\n", ', ', self::typed($terms))];
    }

    /** @param  array<string, mixed>  $terms */
    private function wanted(HeldCase $file, array $terms): RecordsWanted
    {
        $text = self::typed($terms);
        $this->typed[$text] ??= RecordsTyped::read($text)->wanted;

        return RecordsTyped::of($this->typed[$text], $file->facts->name->ascii);
    }

    private function zone(HeldCase $file): ?ZoneCopy
    {
        if (! array_key_exists($file->nameId, $this->zones)) {
            $this->beforeJudging([$file], []);
        }

        return $this->zones[$file->nameId];
    }

    /** @param  array<string, mixed>  $terms */
    private static function typed(array $terms): string
    {
        return is_string($terms['records'] ?? null) ? $terms['records'] : '';
    }

    private static function plain(RecordsWanted $wanted): string
    {
        return implode("\n", array_map(fn (SetWanted $set): string => $set->text(), $wanted->sets));
    }

    /** Whether a registrar that is told over a bridge has its zone on name servers of its own. */
    private function isKeptByRegistrar(HeldCase $file): bool
    {
        $registrar = $file->account->registrar;
        $this->own[$registrar] ??= $this->ownServers($registrar);

        return array_filter($this->own[$registrar], fn (ServerSet $set): bool => $set->isExactly($file->servers)) !== [];
    }

    /** @return array<int, ServerSet> */
    private function ownServers(int $registrarId): array
    {
        return NamedSet::query()
            ->where('kind', SetKind::Registrar)
            ->where('registrar_id', $registrarId)
            ->whereRelation('registrar', 'link', 'bridge')
            ->get()
            ->map(fn (NamedSet $set): ServerSet => $set->value())
            ->all();
    }

    /** @return array<string, string> who runs them, by hosts with blanks between */
    private function keepers(): array
    {
        $keepers = [];
        foreach (NamedSet::query()->with('registrar')->orderBy('id')->limit(1_000)->get() as $set) {
            $keepers[implode(' ', $set->value()->hosts())] = $set->runBy() === '' ? $set->name : $set->runBy();
        }

        return $keepers;
    }

    private static function word(string $key): string
    {
        $said = __("deeds.change_records.{$key}");

        return is_string($said) ? $said : $key;
    }
}
