<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Actions\Deeds\DeedError;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Handover\ReceiverAnswers;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Link;
use App\Support\Masked;
use App\Support\TradeClock;
use App\View\Words;

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
            ->with('name')
            ->where('docket_id', $link->docket_id)
            ->whereIn('state', LineState::OPEN)
            ->orderBy('position');
        $terms = HandoverTermsChosen::unpack($link->docket->terms);
        $receiver = $terms->receiver();

        return [
            'answers.show',
            [
                'registrar' => $receiver->registrar->name,
                'by' => $this->clock->isPast($terms->answerBy) ? null : $terms->answerBy,
                'count' => $lines->count(),
                'lines' => $lines->limit(self::ROWS)->get(),
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
}
