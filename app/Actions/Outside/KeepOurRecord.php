<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\DriftField;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedInBooks;
use App\Actions\Deeds\Undoable;
use App\Models\DocketLine;
use App\Models\Drift;
use App\Models\DriftState;
use App\Queries\Names\HeldCase;
use App\Queries\Names\OpenDrift;
use App\View\Words;

/** Roll and outside stay as they are, and somebody says why. Should the outside change again, it is told again. */
final class KeepOurRecord extends DeedInBooks implements Undoable
{
    use SettlesDrift;

    private const LONGEST = 500;

    public function __construct(private readonly Words $words)
    {
    }

    public static function key(): string
    {
        return 'keep_our_record';
    }

    public function terms(array $said): ?array
    {
        $what = $this->what($said);
        $because = is_string($said['because'] ?? null) ? mb_substr(trim($said['because']), 0, self::LONGEST) : '';

        return $what === null || $because === '' ? null : ['what' => $what, 'because' => $because];
    }

    public function said(array $terms): array
    {
        return array_filter(['what' => $terms['what'] ?? self::ALL, 'because' => $terms['because'] ?? ''], is_string(...));
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        return Readiness::of($this->drifts($file, $terms) === [] ? [Finding::of(BookFinding::AlreadySo, Effect::Stops)] : [], []);
    }

    protected function write(DocketLine $line, HeldCase $file, array $terms, Instant $now): array
    {
        return [
            'drifts' => $this->settle($this->drifts($file, $terms), DriftState::Left, [
                'because' => $terms['because'],
                'settled_at' => $now->isoSecond(),
                'docket_id' => $line->docket_id,
            ]),
        ];
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        $ids = is_array($line->was['drifts'] ?? null) ? $line->was['drifts'] : [];

        return Drift::query()->whereIn('id', $ids)->where('state', DriftState::Left)->count() === count($ids);
    }

    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        $this->open($line->was['drifts'] ?? []);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $said = array_map(fn (OpenDrift $drift): string => $this->words->finding($drift->finding), $this->drifts($file, $terms));

        return ['before' => ['drift' => implode('; ', $said)], 'after' => ['drift' => $this->words->say('outside.left_as_it_is')]];
    }

    protected function inWords(array $terms): array
    {
        return ['because' => is_string($terms['because'] ?? null) ? $terms['because'] : ''];
    }

    private function isAbout(DriftField $field): bool
    {
        return true;
    }
}
