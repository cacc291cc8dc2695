<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Actions\Asks\ClientAnswers;
use App\Models\Ask;
use App\Models\AskState;
use App\Models\Link;
use App\Queries\Clients\StillAsked;
use App\Support\Language;
use App\View\Words;

/** A client says which of their names to keep, and for how long. */
final readonly class RenewalsPage implements AnswerPage
{
    public function __construct(private ClientAnswers $answers, private StillAsked $still, private Words $words)
    {
    }

    public function show(Link $link): ?array
    {
        $ask = $link->ask_id === null ? null : Ask::query()->with('client')->whereKey($link->ask_id)->first();
        $lines = $ask === null ? [] : $this->still->of($ask);

        self::speak($ask->client->language ?? Language::English);

        return $ask?->state === AskState::Open && $lines !== [] ? ['answers.renewals', ['ask' => $ask, 'lines' => $lines]] : null;
    }

    public function store(Link $link, string $token, TypedAnswer $typed): ?array
    {
        $ask = Ask::query()->with('client')->whereKey($link->ask_id)->first();
        $language = $ask->client->language ?? Language::English;
        $names = $ask === null ? [] : array_keys($this->still->of($ask));
        if ($names === []) {
            return null;
        }
        $all = $typed->all();
        $years = $all === null ? array_intersect_key($typed->years(), array_flip($names)) : array_fill_keys($names, $all);
        if (count($years) < count($names)) {
            throw NotAnswered::because($language->speak(fn (): string => $this->words->say('answers.renewals.choose_each')));
        }
        // What is recorded of it is the house's, and in English.
        $answered = $this->answers->handle($token, $years);
        self::speak($language);
        $kept = count(array_filter($years, fn (int $count): bool => $count > 0));

        return $answered === null ? null : [
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
