<?php

declare(strict_types=1);

namespace App\Http\Verification;

use App\Actions\Verification\AskToVerify;
use App\Actions\Verification\SettleObjections;
use App\Actions\Verification\VerifyMailbox;
use App\Models\Mailbox;
use App\Queries\Verification\ReadBoard;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** The board of mailboxes that must be verified: what goes dark first, and how many names hang on it. */
final readonly class VerificationController
{
    public function __construct(private ReadBoard $board, private TradeClock $clock, private Words $words)
    {
    }

    public function index(VerifyRequest $request): View
    {
        $rows = $this->board->due(most: ReadBoard::PAGE + 1, after: $request->word('after'));
        $next = count($rows) > ReadBoard::PAGE ? ReadBoard::place($rows[ReadBoard::PAGE - 1]) : null;
        $rows = array_slice($rows, 0, ReadBoard::PAGE);
        $now = $this->clock->now();

        return view('verification.index', [
            'rows' => $rows,
            'next' => $next,
            'isFirst' => $request->word('after') === '',
            'silent' => array_map(
                fn (Row $row): int => $row->int('mailbox_id'),
                array_filter($rows, fn (Row $row): bool => ReadBoard::isSilent($row, $now)),
            ),
            'today' => $this->clock->today(),
            'now' => $now,
            'words' => $this->words,
        ]);
    }

    public function again(Mailbox $mailbox, VerifyRequest $request, AskToVerify $ask): RedirectResponse
    {
        return to_route('verification.index')->with(
            'told',
            $this->words->say(
                $ask->again($request->person(), $mailbox->id) ? 'contacts.verification.asked' : 'contacts.verification.not_asked',
            ),
        );
    }

    /** By a call, or because the registrar's own letter was answered. */
    public function store(Mailbox $mailbox, VerifyRequest $request, VerifyMailbox $verify): RedirectResponse
    {
        $verify->handle($mailbox->id, $request->by(), $request->word('words'), $request->person());

        return to_route('verification.index')->with(
            'told',
            $this->words->say(
                $this->board->names($mailbox->id, 1) === [] ? 'contacts.verification.verified' : 'contacts.verification.verified_partly',
                ['mailbox' => $mailbox->address],
            ),
        );
    }

    public function settle(Mailbox $mailbox, VerifyRequest $request, SettleObjections $settle): RedirectResponse
    {
        $settle->handle($request->person(), $mailbox->id);

        return to_route('verification.index')->with('told', $this->words->say('contacts.verification.settled'));
    }
}
