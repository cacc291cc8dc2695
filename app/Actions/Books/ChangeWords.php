<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\DeedInBooks;
use App\Actions\Deeds\ForWatched;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\Undoable;
use App\Actions\Words\GiveWords;
use App\Actions\Words\Labels;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Word;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;

/** Gives words to names, and takes others away. */
final class ChangeWords extends DeedInBooks implements ForWatched, Undoable
{
    /** @var array<int, string> labels by id */
    private array $labels = [];

    public function __construct(private readonly GiveWords $words)
    {
    }

    public static function key(): string
    {
        return 'change_words';
    }

    public function choices(): array
    {
        return Word::labels();
    }

    public function terms(array $said): ?array
    {
        $read = fn (string $key): array => array_values(
            array_filter(
                is_string($said[$key] ?? null) ? Labels::read($said[$key]) : [],
                fn (string $label): bool => mb_strlen($label) <= Labels::LENGTH,
            ),
        );
        $terms = ['give' => $read('give'), 'take' => $read('take')];

        return $terms['give'] === [] && $terms['take'] === [] ? null : $terms;
    }

    public function said(array $terms): array
    {
        return array_filter(
            ['give' => implode(', ', self::side($terms, 'give')), 'take' => implode(', ', self::side($terms, 'take'))],
            fn (string $side): bool => $side !== '',
        );
    }

    public function judge(RollCase $file, array $terms, Instant $now): Readiness
    {
        $before = $this->of($file);

        return self::alreadySo(self::plain($before) === self::plain(self::changed($before, $terms)));
    }

    public function perform(
        DocketLine $line,
        RollCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $line->was = $this->write($line, $file, $terms, $now);

        return LineState::Done;
    }

    protected function write(DocketLine $line, RollCase $file, array $terms, Instant $now): array
    {
        $this->put($file, self::changed($this->of($file), $terms));

        return ['words' => $this->of($file)];
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        return self::plain($this->of($file)) === self::plain(self::changed(self::side($line->was ?? [], 'words'), $line->docket->terms));
    }

    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        $this->put($file, self::side($line->was ?? [], 'words'));
    }

    public function beforeAndAfter(RollCase $file, array $terms): array
    {
        $say = fn (array $words): array => ['words' => $words === [] ? 'no words' : implode(', ', array_filter($words, is_string(...)))];
        $before = $this->of($file);

        return ['before' => $say($before), 'after' => $say(self::changed($before, $terms))];
    }

    protected function inWords(array $terms): array
    {
        $parts = [];
        foreach (['give' => 'give', 'take' => 'take away'] as $side => $verb) {
            $labels = array_map(fn (string $label): string => "“{$label}”", self::side($terms, $side));
            if ($labels !== []) {
                $parts[] = $verb.' '.implode(', ', $labels);
            }
        }

        return ['change' => implode(', ', $parts)];
    }

    /** @param  list<string>  $words */
    private function put(RollCase $file, array $words): void
    {
        $before = $this->of($file);
        $this->words->take([$file->nameId], self::without($before, $words));
        $this->words->give([$file->nameId], self::without($words, $before));
    }

    /** @return list<string> the name's words by alphabet */
    private function of(RollCase $file): array
    {
        if (array_diff($file->words, array_keys($this->labels)) !== []) {
            foreach (Word::query()->whereIn('id', $file->words)->get() as $word) {
                $this->labels[$word->id] = $word->label;
            }
        }
        $words = array_values(array_intersect_key($this->labels, array_flip($file->words)));
        usort($words, fn (string $a, string $b): int => mb_strtolower($a) <=> mb_strtolower($b));

        return $words;
    }

    /**
     * @param  list<string>  $words
     * @param  array<string, mixed>  $terms
     * @return list<string>
     */
    private static function changed(array $words, array $terms): array
    {
        return self::without(Labels::joined($words, self::side($terms, 'give')), self::side($terms, 'take'));
    }

    /**
     * @param  list<string>  $words
     * @param  list<string>  $away
     * @return list<string>
     */
    private static function without(array $words, array $away): array
    {
        return array_values(
            array_filter($words, fn (string $word): bool => ! in_array(mb_strtolower($word), array_map(mb_strtolower(...), $away), true)),
        );
    }

    /**
     * @param  list<string>  $words
     * @return list<string> to be compared
     */
    private static function plain(array $words): array
    {
        $plain = array_map(mb_strtolower(...), $words);
        sort($plain);

        return $plain;
    }

    /**
     * @param  array<string, mixed>  $terms
     * @return list<string>
     */
    private static function side(array $terms, string $key): array
    {
        return array_values(array_filter(is_array($terms[$key] ?? null) ? $terms[$key] : [], is_string(...)));
    }
}
