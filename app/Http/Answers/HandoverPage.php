<?php

declare(strict_types=1);

namespace App\Http\Answers;

use Acre\Core\Movement\ExtraFate;
use Acre\Core\Movement\HandoverTerms;
use App\Actions\Deeds\DeedError;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Handover\ReceiverAnswers;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Link;
use App\Support\Masked;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Eloquent\Collection;

/** A receiver says whether they take names, and types what names their account. */
final readonly class HandoverPage implements AnswerPage
{
    /** Names that are shown one by one. */
    private const ROWS = 500;

    public function __construct(private ReceiverAnswers $answers, private Words $words, private TradeClock $clock)
    {
    }

    public function show(Link $link): ?array
    {
        if ($link->docket === null) {
            return null;
        }
        $lines = DocketLine::query()
            ->with(['name.registration.extras'])
            ->where('docket_id', $link->docket_id)
            ->whereIn('state', LineState::OPEN)
            ->orderBy('position');
        $terms = HandoverTermsChosen::unpack($link->docket->terms);
        $receiver = $terms->receiver();
        $count = $lines->count();
        $shown = $lines->limit(self::ROWS)->get();

        return [
            'answers.show',
            [
                'registrar' => $receiver->registrar->name,
                'by' => $this->clock->isPast($terms->answerBy) ? null : $terms->answerBy,
                'count' => $count,
                'lines' => $shown,
                'left' => $this->left($shown, $receiver->registrar->handoverTerms()),
                'mailbox' => Masked::mailbox($link->mailbox),
                'account' => Masked::value($receiver->number),
                'identifiers' => $receiver->registrar->receiver_by->identifiers(),
            ],
        ];
    }

    public function store(Link $link, string $token, TypedAnswer $typed): ?string
    {
        if ($typed->accepts() === null) {
            throw NotAnswered::because($this->words->say('letters.answer.neither'));
        }
        if ($typed->accepts() === false) {
            return $this->answers->refuse($token, $typed->words()) ? 'refused' : null;
        }
        try {
            return $this->answers->accept($token, $typed->typed()) ? 'accepted' : null;
        } catch (DeedError $e) {
            throw NotAnswered::because($e->getMessage());
        }
    }

    /**
     * @param  Collection<int, DocketLine>  $lines
     * @return array<int, list<string>> by name, in words: what was bought with it and doesn't come along, or may not
     */
    private function left(Collection $lines, HandoverTerms $terms): array
    {
        $left = [];
        foreach ($lines as $line) {
            foreach ($line->name->registration->extras ?? [] as $extra) {
                $fate = $terms->extras[$extra->kind->value] ?? null;
                if ($extra->ended_on === null && $fate !== ExtraFate::ComesAlong) {
                    $what = $this->words->say("words.extra.{$extra->kind->value}");
                    $left[$line->name_id][] = $fate === null ? $this->words->say('answers.show.perhaps', ['what' => $what]) : $what;
                }
            }
        }

        return $left;
    }
}
