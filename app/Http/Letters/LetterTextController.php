<?php

declare(strict_types=1);

namespace App\Http\Letters;

use App\Actions\SaveRow;
use App\Http\OldInput;
use App\Http\SignedInRequest;
use App\Models\LetterKind;
use App\Models\LetterText;
use App\Queries\Letters\LetterTexts;
use App\Queries\Letters\Written;
use App\Support\Dates;
use App\Support\HouseSettings;
use App\Support\Language;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** What our letters to people outside say: shown as they look, and changed by a Steward. */
final readonly class LetterTextController
{
    public function __construct(
        private LetterTexts $texts,
        private SaveRow $save,
        private HouseSettings $house,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function index(): View
    {
        return view('letters.index', [
            'kinds' => LetterKind::cases(),
            'own' => LetterText::query()
                ->whereNotNull('body')
                ->where('language', Language::English)
                ->get()
                ->keyBy(fn (LetterText $text): string => $text->kind->value),
            'texts' => $this->texts,
            'sample' => $this->sample(...),
            'words' => $this->words,
        ]);
    }

    public function edit(LetterKind $letter, SignedInRequest $request): View
    {
        $language = self::language($request->word('in'), $letter);

        return $this->form($letter, $language, $this->texts->of($letter, $language));
    }

    public function update(LetterTextRequest $request, LetterKind $letter): RedirectResponse|View
    {
        $language = self::language($request->word('in'), $letter);
        if ($request->word('act') === 'look') {
            $request->session()->flashInput(OldInput::of($request));

            return $this->form($letter, $language, $request->written());
        }
        $this->save->handle(
            $request->person(),
            LetterText::query()->createOrFirst(['kind' => $letter, 'language' => $language]),
            ['subject' => $request->written()->subject, 'body' => $request->written()->body],
            $request->integer('version'),
        );

        return to_route('letter-texts.index')->with('told', $this->words->say('letters.saved'));
    }

    /** As it ships again. */
    public function destroy(SignedInRequest $request, LetterKind $letter): RedirectResponse
    {
        $row = LetterText::query()->createOrFirst(['kind' => $letter, 'language' => self::language($request->word('in'), $letter)]);
        $this->save->handle($request->person(), $row, ['subject' => null, 'body' => null], $row->refresh()->version);

        return to_route('letter-texts.index')->with('told', $this->words->say('letters.shipped'));
    }

    /** Whoever is not a client is written to in English. */
    private static function language(string $said, LetterKind $kind): Language
    {
        return $kind->isToClient() ? Language::tryFrom($said) ?? Language::English : Language::English;
    }

    private function form(LetterKind $kind, Language $language, Written $written): View
    {
        $row = LetterText::query()->where('kind', $kind)->where('language', $language)->first();

        return view('letters.form', [
            'kind' => $kind,
            'language' => $language,
            'written' => $written,
            'version' => $row->version ?? 1,
            'isOwn' => $row?->body !== null,
            'one' => $language->speak(fn (): Written => $this->sample($kind, $written, 1)),
            'many' => $language->speak(fn (): Written => $this->sample($kind, $written, 3)),
            'words' => $this->words,
        ]);
    }

    /** With made-up names. */
    private function sample(LetterKind $kind, Written $written, int $count): Written
    {
        $names = array_slice(['wickerby-bells.com', 'peal.org', 'bell-foundry.co.uk'], 0, $count);
        $listed = implode("\n", array_map(fn (string $name): string => "  {$name}", $names));
        $said = [
            'house' => $this->house->name(),
            'name' => $names[0],
            'names' => $listed,
            'by' => Dates::full($this->clock->today()->plusDays(14)),
            'link' => 'https://…/answer/…',
            'registrar' => $this->words->say('letters.sample.registrar'),
            'needed' => $this->words->say('letters.sample.needed'),
            'year' => substr($this->clock->today()->date(), 0, 4),
            'records' => $this->words->say('letters.record', ['data' => $this->words->say('letters.sample.record'), 'names' => $listed]),
        ];

        return $written->filled($count, array_intersect_key($said, array_flip($kind->words())));
    }
}
