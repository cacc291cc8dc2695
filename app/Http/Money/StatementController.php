<?php

declare(strict_types=1);

namespace App\Http\Money;

use Acre\Wire\Lists\ListError;
use App\Actions\Money\ReadStatement;
use App\Actions\Money\TakeStatement;
use App\Http\OldInput;
use App\Models\Account;
use App\View\Words;
use Illuminate\Http\RedirectResponse;

/** A registrar's statement as a file. What can be read of it is entered; the rest is told with its line. */
final readonly class StatementController
{
    /** Refused lines that are told one by one. */
    private const TOLD = 50;

    public function __construct(private ReadStatement $read, private TakeStatement $take, private Words $words)
    {
    }

    public function __invoke(Account $account, StatementRequest $request): RedirectResponse
    {
        $page = redirect(route('accounts.money', $account).'#statement');
        try {
            $statement = $this->read->handle($request->path(), $request->word('statement_currency'), $request->order());
        } catch (ListError $e) {
            return $page->withInput(OldInput::of($request))->withErrors(['statement' => $e->getMessage()]);
        }
        [$new, $known] = $this->take->handle($request->person(), $account, $statement);

        return $page
            ->with('told', $this->words->count('money.statement.taken', $new).' '.$this->words->count('money.statement.known', $known))
            ->with('refused', array_map(
                fn (string $why, int $line): string => $this->words->say('registrars.list.line', ['line' => (string) $line, 'why' => $why]),
                array_slice($statement->refused, 0, self::TOLD),
                array_slice(array_keys($statement->refused), 0, self::TOLD),
            ));
    }
}
