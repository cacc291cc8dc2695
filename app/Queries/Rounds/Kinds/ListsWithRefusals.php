<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Models\Import;
use App\Models\ImportState;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Lists that were brought in with lines refused, and lists that wait for somebody to look at them. */
final readonly class ListsWithRefusals implements RoundsKind
{
    /** Lists that nobody has looked at for so many days are past looking at. */
    private const DAYS = 30;

    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until): array
    {
        $lists = Import::query()->whereIn('state', [ImportState::Uploaded, ImportState::Read, ImportState::Done])->where('updated_at', '>', gmdate('c', time() - self::DAYS * 86_400))->orderByDesc('id')->limit(self::MOST)->get();
        $refused = [];
        foreach (Row::all($this->database->table('import_rows')->whereIn('import_id', $lists->pluck('id'))->where('verdict', 'refused')->groupBy('import_id')->selectRaw('import_id, count(*) AS lines')->get()) as $row) {
            $refused[$row->int('import_id')] = $row->int('lines');
        }
        $items = [];
        foreach ($lists as $list) {
            $count = $refused[$list->id] ?? 0;
            $how = $list->state === ImportState::Done ? 'refused' : 'waits';
            if ($how === 'waits' || $count > 0) {
                $items[] = new RoundsItem(
                    "list:{$list->id}:{$how}", $how === 'waits' ? RoundsSection::Waits : RoundsSection::Look, $today, $list->file,
                    $how === 'waits' ? $this->words->say('rounds.list.waits') : $this->words->count('rounds.list.refused', $count), $this->words->say("rounds.list.cost.{$how}"), $this->words->say("rounds.list.deed.{$how}"),
                    route('bring-in.show', [$list, ...($how === 'refused' ? ['verdict' => 'refused'] : [])]), isName: false,
                );
            }
        }

        return $items;
    }
}
