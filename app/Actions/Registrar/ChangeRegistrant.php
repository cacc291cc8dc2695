<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Record;
use Acre\Core\Registrant\RegistrantFinding;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\EndMovement;
use App\Actions\Deeds\NamesPeople;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\SeenOutside;
use App\Actions\Deeds\WaitsForWord;
use App\Actions\Gates\GateOrders;
use App\Actions\Registrants\AnotherRegistrant;
use App\Actions\Registrants\RegistrantChosen;
use App\Actions\Registrants\RegistrantInWords;
use App\Actions\Registrants\RegistrantOnSlip;
use App\Actions\Registrants\WhoIsMeant;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slips;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;

/**
 * Another legal holder, or other data of the same: who must say yes, by letter or by the house as their agent; then the registrar is told,
 * and the old one's span ends.
 */
final class ChangeRegistrant extends DeedAtRegistrar implements NamesPeople, SeenOutside, WaitsForWord
{
    public function __construct(
        Rulebook $book,
        GateOrders $orders,
        Slips $slips,
        TradeClock $clock,
        private readonly AnotherRegistrant $another,
        private readonly WhoIsMeant $who,
        private readonly RegistrantOnSlip $slip,
        private readonly RegistrantInWords $saying,
    ) {
        parent::__construct($book, $orders, $slips, $clock);
    }

    public static function key(): string
    {
        return 'change_registrant';
    }

    public function choices(): array
    {
        return $this->who->choices();
    }

    public function terms(array $said): ?array
    {
        return $this->who->chosen($said)?->pack();
    }

    public function said(array $terms): array
    {
        return RegistrantChosen::unpack($terms)->said();
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $chosen = RegistrantChosen::unpack($terms);
        $asked = $this->another->ask($line, $file, $chosen, $readiness->legs(), $now);
        $openings->movement($line, 'registrant', $readiness->legs(), $now, $chosen->answerBy, $asked->done, $asked->words);
        if (! $asked->wait()) {
            $this->goOn($line, $file, $terms, $openings);
        }

        return LineState::Begun;
    }

    public function goOn(DocketLine $line, HeldCase $file, array $terms, PendingWrites $openings): void
    {
        $openings->order($line, $file->account->id, $this->order($terms), $this->orderTerms($file, $terms));
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        $this->another->complete($line, $file, RegistrantChosen::unpack($terms), $on);
        parent::complete($line, $file, $terms, $on);
        EndMovement::of($line, $on, true);
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        parent::abandon($line, $now);
        EndMovement::of($line, $now, false);
    }

    public function isSeen(DocketLine $line, array $terms, Record $record): bool
    {
        return $this->another->isSeen($line, RegistrantChosen::unpack($terms), $record);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        [$before, $after] = $this->saying->beforeAndAfter($file, RegistrantChosen::unpack($terms));

        return ['before' => ['registrant' => $before], 'after' => ['registrant' => $after]];
    }

    public function shown(HeldCase $file, array $terms): array
    {
        return $this->saying->shown($file, RegistrantChosen::unpack($terms));
    }

    /** The same registrant with other data is a heading of its own. */
    public function headline(array $terms, int $names): string
    {
        $key = 'deeds.change_registrant.'.(RegistrantChosen::unpack($terms)->isCorrection ? 'headline_correct' : 'headline');

        return trans_choice($key, $names, ['names' => number_format($names), ...$this->inWords($terms)]);
    }

    /** For the proof, which names people by number. */
    public function inOneLine(Docket $docket): string
    {
        $chosen = RegistrantChosen::unpack($docket->terms);

        return self::text('deeds.change_registrant.one_line', ['who' => "contact {$chosen->contactId}"]).
            $this->saying->wordsGiven($docket, $chosen);
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Registrant;
    }

    protected function orderTerms(HeldCase $file, array $terms): array
    {
        // What the registrar was told to show of the one before is the house's wish for the next one too.
        return $this->another->orderTerms(RegistrantChosen::unpack($terms)) +
            ($file->told === null ? [] : ['shown' => implode(' ', $file->told->words())]);
    }

    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        return $this->slip->values(RegistrantChosen::unpack($terms));
    }

    protected function slipLetters(Account $account, array $lines, array $terms): array
    {
        return $this->slip->letters($account, $lines, RegistrantChosen::unpack($terms));
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return $this->another->isSo($file, RegistrantChosen::unpack($terms));
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        if ($file->facts->isUpdateProhibited()) {
            return [Finding::of(BookFinding::UpdatesProhibited, Effect::Stops)];
        }
        $change = $this->another->change($file, RegistrantChosen::unpack($terms), $now, $file->waiting?->docket);

        return $change?->findings($file->facts->name->suffix(), $file->account) ?? [
            Finding::of(RegistrantFinding::NewHasNoMailbox, Effect::Stops, null, who: ''),
        ];
    }

    protected function legs(HeldCase $file, array $terms, Instant $now): array
    {
        return $this->another->change($file, RegistrantChosen::unpack($terms), $now, $file->waiting?->docket)?->legs() ?? [];
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        return ['registrant'];
    }

    protected function inWords(array $terms): array
    {
        return ['who' => $this->saying->called(RegistrantChosen::unpack($terms))];
    }
}
