<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\WaitsForWord;
use App\Actions\Gates\GateOrders;
use App\Actions\Setbacks\SetAside;
use App\Models\Confirmation;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Name;
use App\Models\SetbackKind;
use App\Queries\Names\CaseFiles;
use App\Support\Failpoint;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;
use LogicException;

/**
 * One side has answered: names that waited for it alone go on, or end with their words; some names a transaction, and killed anywhere, it
 * goes on where it was.
 */
final readonly class ResumeConfirmed
{
    private const TOGETHER = 100;

    /** Of a transaction that another one was in the way of. */
    private const TRIES = 3;

    public function __construct(
        private Connection $database,
        private Deeds $deeds,
        private CaseFiles $files,
        private GateOrders $gateOrders,
        private EndLines $end,
        private SetAside $aside,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function handle(int $confirmationId): void
    {
        $this->aside->attempt(
            SetbackKind::Confirmation,
            $confirmationId,
            function () use ($confirmationId): void {
                do {
                    $more = $this->database->transaction(fn (): bool => $this->some($confirmationId), self::TRIES);
                    Failpoint::ConfirmedCarried->reach();
                } while ($more);
            },
            docketId: Confirmation::query()->find($confirmationId)?->docket_id,
        );
    }

    /** Those whose job was lost with its worker. */
    public function sweep(): void
    {
        foreach (
            Row::all($this->database->select('SELECT id FROM confirmations WHERE answered_on IS NOT NULL AND carried_at IS NULL')) as $row
        ) {
            $this->handle($row->int('id'));
        }
    }

    /** @return bool whether there may be more */
    private function some(int $confirmationId): bool
    {
        $confirmation = Confirmation::query()
            ->with('docket.settler')
            ->whereNull('carried_at')
            ->whereNotNull('answered_on')
            ->find($confirmationId);
        // Two sides that answer at once come one after the other, so that the second finds what the first has said.
        if (
            $confirmation === null ||
            Docket::query()->lockForUpdate()->find($confirmation->docket_id) === null ||
            $confirmation->refresh()->carried_at !== null
        ) {
            return false;
        }
        $waiting = $this->waiting($confirmation);
        $confirmation->confirmed === true ? $this->goOn($confirmation, $waiting) : $this->refuse($confirmation, $waiting);
        if (count($waiting) < self::TOGETHER) {
            $confirmation->update(['carried_at' => gmdate('c')]);
        }

        return count($waiting) >= self::TOGETHER;
    }

    /** @return list<Row> `movement_id`, `name_id`, and `others`: how many other words it waits for */
    private function waiting(Confirmation $confirmation): array
    {
        return Row::all(
            $this->database->select(
                'SELECT m.id AS movement_id, m.name_id, (SELECT count(*) FROM legs o
                    WHERE o.movement_id = m.id AND o.confirmation_id <> g.confirmation_id AND o.done_on IS NULL) AS others
             FROM legs g JOIN movements m ON m.id = g.movement_id AND m.closed_on IS NULL
             WHERE g.confirmation_id = ? AND g.done_on IS NULL ORDER BY m.name_id LIMIT ?',
                [$confirmation->id, self::TOGETHER],
            ),
        );
    }

    /** @param  list<Row>  $waiting */
    private function goOn(Confirmation $confirmation, array $waiting): void
    {
        $deed = $this->deeds->of($confirmation->docket);
        $free = array_map(
            fn (Row $row): int => $row->int('name_id'),
            array_values(array_filter($waiting, fn (Row $row): bool => $row->int('others') === 0)),
        );
        Name::query()->whereIn('id', $free)->orderBy('id')->lockForUpdate()->get();
        $files = $this->files->held($free, $this->clock->now());
        $openings = new PendingWrites($this->database, $this->gateOrders);
        foreach (
            DocketLine::query()
                ->with('docket')
                ->where('docket_id', $confirmation->docket_id)
                ->where('state', LineState::Begun)
                ->whereIn('name_id', $free)
                ->orderBy('name_id')
                ->lockForUpdate()
                ->get() as $line
        ) {
            if ($deed instanceof WaitsForWord && isset($files[$line->name_id])) {
                $deed->goOn($line, $files[$line->name_id], $confirmation->docket->terms, $openings);
            }
        }
        $openings->write();
        $this->database->update('UPDATE legs SET done_on = ?::timestamptz WHERE confirmation_id = ? AND movement_id = ANY (?::bigint[])', [
            $confirmation->answered_on?->isoSecond(),
            $confirmation->id,
            '{'.implode(',', array_map(fn (Row $row): int => $row->int('movement_id'), $waiting)).'}',
        ]);
    }

    /** @param  list<Row>  $waiting */
    private function refuse(Confirmation $confirmation, array $waiting): void
    {
        /** @var list<int> $lines */
        $lines = DocketLine::query()
            ->where('docket_id', $confirmation->docket_id)
            ->where('state', LineState::Begun)
            ->whereIn('name_id', array_map(fn (Row $row): int => $row->int('name_id'), $waiting))
            ->orderBy('name_id')
            ->pluck('id')
            ->all();
        if ($lines !== []) {
            $side = $this->words->say("words.whose.{$confirmation->side->value}");
            $said =
                $confirmation->words === null
                    ? $this->words->say('letters.declined', ['who' => $side])
                    : $this->words->say('letters.declined_because', ['who' => $side, 'words' => $confirmation->words]);
            $this->end->refused(
                $confirmation->docket->settler ?? throw new LogicException('Nobody settled it.'),
                $confirmation->docket,
                $lines,
                ucfirst($said),
            );
        }
    }
}
