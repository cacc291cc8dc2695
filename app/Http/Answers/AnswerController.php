<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Actions\Deeds\DeedError;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Handover\ReceiverAnswers;
use App\Actions\Links\OpenLink;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Support\HouseSettings;
use App\Support\Masked;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** The page behind the link in a letter. Looking at it changes nothing, and shows nothing that its reader could not know. */
final readonly class AnswerController
{
    /** Names that are shown one by one. */
    private const ROWS = 500;

    public function __construct(private OpenLink $links, private ReceiverAnswers $answers, private HouseSettings $house, private Words $words)
    {
    }

    public function show(string $token): Response
    {
        $link = $this->links->handle($token);
        if ($link === null) {
            return $this->told('over', 410);
        }
        $lines = DocketLine::query()->with('name')->where('docket_id', $link->docket_id)->whereIn('state', LineState::OPEN)->orderBy('position');
        $terms = HandoverTermsChosen::unpack($link->docket->terms);
        $receiver = $terms->receiver();

        return response()->view('answers.show', [
            'token' => $token, 'house' => $this->house->name(), 'registrar' => $receiver->registrar->name, 'by' => $terms->answerBy, 'count' => $lines->count(), 'lines' => $lines->limit(self::ROWS)->get(),
            'mailbox' => Masked::mailbox($link->mailbox), 'account' => Masked::value($receiver->number), 'identifiers' => $receiver->registrar->receiver_by->identifiers(), 'words' => $this->words,
        ]);
    }

    public function store(AnswerRequest $request, string $token): Response|RedirectResponse
    {
        if ($request->refuses()) {
            return $this->answers->refuse($token, $request->words()) ? $this->told('refused') : $this->told('over', 410);
        }
        try {
            return $this->answers->accept($token, $request->typed()) ? $this->told('accepted') : $this->told('over', 410);
        } catch (DeedError $e) {
            return to_route('answers.show', $token)->withErrors(['names' => $e->getMessage()]);
        }
    }

    private function told(string $what, int $status = 200): Response
    {
        return response()->view('answers.told', ['what' => $what, 'house' => $this->house->name(), 'words' => $this->words], $status);
    }
}
