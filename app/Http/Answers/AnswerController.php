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
use Illuminate\Contracts\View\Factory;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\MessageBag;
use Illuminate\Support\ViewErrorBag;

/**
 * The page behind the link in a letter. Looking at it changes nothing, and shows nothing that its reader could not know. It
 * has no session, so that its address, which is a secret, stands in none.
 */
final readonly class AnswerController
{
    /** Names that are shown one by one. */
    private const ROWS = 500;

    public function __construct(private OpenLink $links, private ReceiverAnswers $answers, private HouseSettings $house, private Words $words, private Factory $views)
    {
    }

    public function show(string $token): Response
    {
        return $this->page($token, '');
    }

    public function store(Request $request, string $token): Response
    {
        $typed = new TypedAnswer($request);
        if ($typed->accepts() === null) {
            return $this->page($token, $this->words->say('letters.answer.neither'));
        }
        if ($typed->accepts() === false) {
            return $this->answers->refuse($token, $typed->words()) ? $this->told('refused') : $this->told('over', 410);
        }
        try {
            return $this->answers->accept($token, $typed->typed()) ? $this->told('accepted') : $this->told('over', 410);
        } catch (DeedError $e) {
            return $this->page($token, $e->getMessage());
        }
    }

    /** @param  string  $wrong  what was wrong with what was typed; empty: nothing was yet */
    private function page(string $token, string $wrong): Response
    {
        $link = $this->links->handle($token);
        if ($link === null) {
            return $this->told('over', 410);
        }
        $lines = DocketLine::query()->with('name')->where('docket_id', $link->docket_id)->whereIn('state', LineState::OPEN)->orderBy('position');
        $terms = HandoverTermsChosen::unpack($link->docket->terms);
        $receiver = $terms->receiver();

        // What a session would have brought.
        $this->views->share('errors', (new ViewErrorBag)->put('default', new MessageBag($wrong === '' ? [] : ['names' => $wrong])));

        return response()->view('answers.show', [
            'token' => $token, 'house' => $this->house->name(), 'registrar' => $receiver->registrar->name, 'by' => $terms->answerBy, 'count' => $lines->count(), 'lines' => $lines->limit(self::ROWS)->get(),
            'mailbox' => Masked::mailbox($link->mailbox), 'account' => Masked::value($receiver->number), 'identifiers' => $receiver->registrar->receiver_by->identifiers(), 'words' => $this->words,
        ], $wrong === '' ? 200 : 422);
    }

    private function told(string $what, int $status = 200): Response
    {
        return response()->view('answers.told', ['what' => $what, 'house' => $this->house->name(), 'words' => $this->words], $status);
    }
}
