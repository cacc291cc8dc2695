<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Account;
use Acre\Core\Movement\Readiness;
use Acre\Core\Registrant\RegistrantFinding;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Actions\Registrants\AnotherRegistrant;
use App\Actions\Registrants\RegistrantChosen;
use App\Queries\Names\HeldCase;

/**
 * A handover as its page and its button judge it: the name's way to the other account, and the change of registrant on the way, where there
 * is one.
 */
final readonly class JudgeHandover
{
    public function __construct(private Rulebook $book, private AnotherRegistrant $another)
    {
    }

    /**
     * @param  Account|null  $receiver  null: not chosen yet
     * @param  RegistrantChosen|null  $registrant  null: it stays as it is
     */
    public function handle(HeldCase $file, ?Account $receiver, Instant $answerBy, ?RegistrantChosen $registrant, Instant $now): Readiness
    {
        $handover = $file->handoverTo($receiver, $answerBy, $this->book, $now)->judge();
        // Whose registrant is the right one already just goes.
        if ($registrant === null || $this->another->isSo($file, $registrant)) {
            return $handover;
        }
        $change = $this->another->change($file, $registrant, $now, null);

        return Readiness::of(
            [
                ...$handover->findings,
                ...$change?->findings($file->facts->name->suffix(), $file->account) ?? [
                    Finding::of(RegistrantFinding::NewHasNoMailbox, Effect::Stops, null, who: ''),
                ],
            ],
            fn (): array => $change?->legsWithin($handover->legs()) ?? $handover->legs(),
        );
    }
}
