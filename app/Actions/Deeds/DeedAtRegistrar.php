<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Gates\GateOrders;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slip;
use App\Queries\Dockets\SlipLetter;
use App\Queries\Dockets\Slips;
use App\Queries\Dockets\SlipStep;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;

/**
 * A deed of one step that a registrar does where the names lie: by wire it is told, else a slip says it to a person. It never asks which.
 */
abstract class DeedAtRegistrar implements HasPage, ReadsAhead
{
    use SaysItself;

    /** @var array<int, Registration> by id, those that are completed next */
    private array $ahead = [];

    public function __construct(
        protected readonly Rulebook $book,
        private readonly GateOrders $orders,
        private readonly Slips $slips,
        protected readonly TradeClock $clock,
    ) {
    }

    /** @param  array<string, mixed>  $terms */
    abstract protected function order(array $terms): OrderKind;

    /**
     * Whether it is so already, as far as our books know.
     *
     * @param  array<string, mixed>  $terms
     */
    abstract protected function isSo(HeldCase $file, array $terms): bool;

    /**
     * What else stands in the way.
     *
     * @param  array<string, mixed>  $terms
     * @return list<Finding>
     */
    abstract protected function against(HeldCase $file, array $terms, Instant $now): array;

    /**
     * Writes what is now so.
     *
     * @param  array<string, mixed>  $terms
     * @return list<string> which facts these are
     */
    abstract protected function write(Registration $registration, HeldCase $file, array $terms): array;

    /**
     * The steps, where it takes more than the registrar's one.
     *
     * @param  array<string, mixed>  $terms
     * @return list<Leg>
     */
    protected function legs(HeldCase $file, array $terms, Instant $now): array
    {
        return [];
    }

    /**
     * What the registrar is told beside the kind of order.
     *
     * @param  array<string, mixed>  $terms
     * @return array<string, string>
     */
    protected function orderTerms(HeldCase $file, array $terms): array
    {
        return [];
    }

    /**
     * What a slip says beside its verb, ready to copy, by what it is called.
     *
     * @param  list<DocketLine>  $lines
     * @param  array<string, mixed>  $terms
     * @return array<string, string>
     */
    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        return [];
    }

    /**
     * What the registrar then writes by itself.
     *
     * @param  list<DocketLine>  $lines
     * @param  array<string, mixed>  $terms
     * @return list<SlipLetter>
     */
    protected function slipLetters(Account $account, array $lines, array $terms): array
    {
        return [];
    }

    /** @param  array<string, string>  $with */
    protected static function text(string $key, array $with = []): string
    {
        $said = __($key, $with);

        return is_string($said) ? $said : $key;
    }

    public function choices(): array
    {
        return [];
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $findings = match (true) {
            $this->isSo($file, $terms) => [Finding::of(BookFinding::AlreadySo, Effect::Stops)],
            ! $file->account->ours => [Finding::of(MovementFinding::NoAccess, Effect::Stops, null, account: $file->account->number)],
            default => [...$this->against($file, $terms, $now), ...$file->seenOutside()],
        };

        return Readiness::of($findings, fn (): array => $this->legs($file, $terms, $now));
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $openings->order($line, $file->account->id, $this->order($terms), $this->orderTerms($file, $terms));

        return LineState::Begun;
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        if (! isset($this->ahead[$file->registrationId])) {
            $this->readAhead([$file], $on);
        }
        $registration =
            $this->ahead[$file->registrationId] ??
            throw (new ModelNotFoundException())->setModel(Registration::class, [$file->registrationId]);
        unset($this->ahead[$file->registrationId]);
        $facts = array_fill_keys($this->write($registration, $file, $terms), true);
        if ($this instanceof Ticked) {
            $line->was = array_intersect_key($registration->getRawOriginal(), $facts);
        }
        $registration->version++;
        // Ticked off today, it was done about now: for a while the record need not show it.
        $now = $this->clock->now();
        $at = ($on->agreesWith($now) ? $now : $on)->isoSecond();
        $registration->sources = [
            ...$registration->sources,
            ...array_map(fn (): array => ['from' => 'docket', 'docket' => $line->docket_id, 'at' => $at], $facts),
        ];
        $registration->save();
    }

    public function readAhead(array $files, Instant $on): void
    {
        /** @var array<int, Registration> $ahead */
        $ahead = Registration::query()
            ->whereKey(array_map(fn (HeldCase $file): int => $file->registrationId, $files))
            ->orderBy('id')
            ->lockForUpdate()
            ->get()
            ->keyBy('id')
            ->all();
        $this->ahead = $ahead;
        // Their records are looked at soon, whether they show that.
        DB::update("UPDATE observing SET due_at = ?::timestamptz WHERE name_id = ANY (?::bigint[]) AND due_at < 'infinity'", [
            $on->isoSecond(),
            '{'.implode(',', array_map(fn (HeldCase $file): int => $file->nameId, $files)).'}',
        ]);
    }

    /** A tick that was wrong: the fact is again what it was. */
    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        $registration = Registration::query()->lockForUpdate()->findOrFail($file->registrationId);
        foreach ($line->was ?? [] as $fact => $was) {
            $registration->setRawAttributes([...$registration->getAttributes(), $fact => $was]);
            $registration->sources = [
                ...$registration->sources,
                $fact => ['from' => 'docket', 'docket' => $by->docket_id, 'at' => $now->isoSecond()],
            ];
        }
        $registration->version++;
        $registration->save();
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        $this->orders->takeBack($line);
    }

    public function slip(Docket $docket): Slip
    {
        return $this->slips->ofOneStep(
            $docket,
            fn (Account $account, array $lines): SlipStep => new SlipStep(
                $this->order($docket->terms)->value,
                $this->slipValues($account, $lines, $docket->terms),
                true,
                $this->slipLetters($account, $lines, $docket->terms),
            ),
        );
    }
}
