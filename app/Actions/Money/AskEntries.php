<?php

declare(strict_types=1);

namespace App\Actions\Money;

use App\Models\Account;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Registrars;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * What was taken from an account and paid in, as its registrar tells it: once a day, from where it stopped. Each answer is entered as a
 * whole, with how far that reaches, so that whatever ends in between is neither lost nor entered twice.
 */
final readonly class AskEntries
{
    /** Answers in one go: the rest is asked next time. */
    private const AT_ONCE = 20;

    public function __construct(
        private Connection $database,
        private Registrars $registrars,
        private TakeStatement $take,
        private KeepShortages $shortages,
        private TradeClock $clock,
    ) {
    }

    /** @param  bool  $isWanted  somebody asks for them now */
    public function handle(int $accountId, bool $isWanted = false): void
    {
        $account = Account::query()->with('registrar')->find($accountId);
        $registrar = $account === null ? null : $this->registrars->of($account);
        $today = $this->clock->today()->date();
        if ($account === null || $registrar === null || (! $isWanted && $account->entries_asked_on === $today)) {
            return;
        }
        try {
            for ($answers = 0; $answers < self::AT_ONCE; $answers++) {
                $entries = $registrar->entries($account, $account->entries_after ?? '');
                // One that can't be asked for as the last is the end; one that tells the same again has no more to tell.
                $last = StatementLine::isId($entries?->last) ? $entries?->last : null;
                $isAtEnd = $entries === null || ! $entries->areMore || in_array($last, [null, $account->entries_after], true);
                $this->database->transaction(function () use ($account, $entries, $last, $isAtEnd, $today): void {
                    if ($entries !== null && $entries->lines !== []) {
                        $this->take->handle(null, $account, new Statement($entries->lines, []));
                        $this->shortages->of($account->id);
                    }
                    $account->update([
                        'entries_after' => $last ?? $account->entries_after,
                        'entries_asked_on' => $isAtEnd ? $today : $account->entries_asked_on,
                    ]);
                });
                if ($isAtEnd) {
                    return;
                }
            }
        } catch (NotReached) {
            // Asked again next time.
        }
    }
}
