<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedInBooks;
use App\Actions\Deeds\LeaveBooks;
use App\Models\DocketLine;
use App\Queries\Names\HeldCase;
use App\Queries\Names\OpenDrift;
use App\View\Words;

/**
 * Names that are no longer ours, because they went to another registrar, were deleted or given up: closed in our books from now on, with
 * their past kept, and watched if somebody wants that.
 */
final class RemoveNames extends DeedInBooks
{
    public const WATCH = 'watch';

    public const END = 'end';

    private const LONGEST = 300;

    public function __construct(
        private readonly LeaveBooks $leave,
        private readonly Rulebook $book,
        private readonly Words $words,
    ) {
    }

    public static function key(): string
    {
        return 'remove_names';
    }

    public function choices(): array
    {
        return [
            self::WATCH => $this->words->say('deeds.remove_names.then.watch'),
            self::END => $this->words->say('deeds.remove_names.then.end'),
        ];
    }

    public function terms(array $said): ?array
    {
        $then = is_string($said['then'] ?? null) ? $said['then'] : '';
        $because = is_string($said['because'] ?? null) ? mb_substr(trim($said['because']), 0, self::LONGEST) : '';

        return $because === '' || ! in_array($then, [self::WATCH, self::END], true) ? null : ['then' => $then, 'because' => $because];
    }

    public function said(array $terms): array
    {
        return array_filter($terms, is_string(...));
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $findings = [];
        if ($file->begun !== null) {
            $findings[] = Finding::of(BookFinding::StillBegun, Effect::Stops, null, docket: $file->begun);
        }
        if (
            array_filter($file->drifts, fn (OpenDrift $drift): bool => $drift->tag->saysGone()) === [] &&
            $file->life($this->book, $now)->phase !== Phase::Released
        ) {
            $findings[] = Finding::of(BookFinding::NotSeenGone, Effect::Worth, null, account: $file->account->number);
        }

        return Readiness::of($findings, []);
    }

    protected function write(DocketLine $line, HeldCase $file, array $terms, Instant $now): array
    {
        $because = is_string($terms['because'] ?? null) ? $terms['because'] : '';
        $this->leave->handle($line, $file, $now, $terms['then'] === self::WATCH ? $because : null);

        return [];
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        return [
            'before' => ['place' => "{$file->account->registrarName} {$file->account->number}"],
            'after' => ['place' => $this->inWords($terms)['then']],
        ];
    }

    protected function inWords(array $terms): array
    {
        return [
            'then' => $this->words->say('deeds.remove_names.then.'.($terms['then'] === self::WATCH ? 'watch' : 'end')),
            'because' => is_string($terms['because'] ?? null) ? $terms['because'] : '',
        ];
    }
}
