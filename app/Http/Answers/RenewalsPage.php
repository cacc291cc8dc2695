<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Actions\Asks\ClientAnswers;
use App\Models\Ask;
use App\Models\AskLine;
use App\Models\AskState;
use App\Models\Link;
use App\Support\Language;
use App\View\Words;

/** A client says which of their names to keep, and for how long. */
final readonly class RenewalsPage implements AnswerPage
{
    public function __construct(private ClientAnswers $answers, private Words $words)
    {
    }

    public function show(Link $link): ?array
    {
        $ask = $link->ask_id === null ? null : Ask::query()->with(['lines.name', 'client'])->whereKey($link->ask_id)->first();

        self::speak($ask->client->language ?? Language::English);

        return $ask === null || $ask->state !== AskState::Open ? null : ['answers.renewals', ['ask' => $ask]];
    }

    public function store(Link $link, string $token, TypedAnswer $typed): ?array
    {
        $language = Ask::query()->with('client')->whereKey($link->ask_id)->first()->client->language ?? Language::English;
        $names = array_values(array_filter(AskLine::query()->where('ask_id', $link->ask_id)->pluck('name_id')->all(), is_int(...)));
        $all = $typed->all();
        $years = $all === null ? array_intersect_key($typed->years(), array_flip($names)) : array_fill_keys($names, $all);
        if (count($years) < count($names)) {
            throw NotAnswered::because($language->speak(fn (): string => $this->words->say('answers.renewals.choose_each')));
        }
        // What is recorded of it is the house's, and in English.
        $ask = $this->answers->handle($token, $years);
        self::speak($language);
        $kept = count(array_filter($years, fn (int $count): bool => $count > 0));

        return $ask === null ? null : [
            'answers.renewed',
            ['kept' => $kept, 'lapse' => count($years) - $kept],
        ];
    }

    /** The page is in the language of the letter that led to it. */
    private static function speak(Language $language): void
    {
        app()->setLocale($language->value);
    }
}
