<?php

declare(strict_types=1);

namespace App\Actions\Asks;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Actions\Links\IssueLink;
use App\Actions\Links\LinkOf;
use App\Actions\Post\WriteLetter;
use App\Models\Ask;
use App\Models\AskLine;
use App\Models\AskState;
use App\Models\Client;
use App\Models\Letter;
use App\Models\LetterKind;
use App\Models\LetterState;
use App\Models\LinkPurpose;
use App\Models\User;
use App\Queries\Clients\StillAsked;
use App\Queries\Names\CaseFiles;
use App\Support\HouseLog;
use App\Support\TradeClock;
use App\View\EndInWords;
use Illuminate\Database\Connection;

/** Asks a client by letter which of their names to keep: one letter for all that end in a span, and reminders until they answer. */
final readonly class AskClient
{
    /** Days before the day by which an answer is wanted on which a reminder goes: the house's own choice. */
    private const REMIND = [7, 2];

    /** Days after that day for which the link is good. */
    private const LATE = 1;

    public function __construct(
        private Connection $database,
        private CaseFiles $files,
        private StillAsked $still,
        private WriteLetter $letters,
        private IssueLink $links,
        private TradeClock $clock,
        private EndInWords $words,
        private HouseLog $log,
    ) {
    }

    /**
     * @param  list<int>  $nameIds  names of this client
     * @return Ask|null null: none of these is theirs and has an end that is known, or they are being asked already
     */
    public function handle(User $user, Client $client, string $mailbox, array $nameIds, Instant $answerBy): ?Ask
    {
        return $this->database->transaction(function () use ($user, $client, $mailbox, $nameIds, $answerBy): ?Ask {
            Client::query()->lockForUpdate()->findOrFail($client->id);
            $rows = $this->rows($client, $nameIds);
            if ($rows === [] || Ask::query()->where('client_id', $client->id)->where('state', AskState::Open)->exists()) {
                return null;
            }
            $ask = Ask::query()->create([
                'client_id' => $client->id,
                'mailbox' => $mailbox,
                'asked_by' => $user->id,
                'asked_on' => $this->clock->now(),
                'answer_by' => $answerBy->date(),
                'state' => AskState::Open,
            ]);
            foreach (array_chunk($rows, 500) as $some) {
                AskLine::query()->insert(array_map(fn (array $row): array => ['ask_id' => $ask->id] + $row, $some));
            }
            $this->write($ask, LetterKind::RenewalsFirst, 'first');
            $this->log->write('client_asked', 'client', $client->id, ['names' => count($rows), 'ask' => $ask->id], $user->id);

            return $ask;
        });
    }

    /** @return int how many reminders were written */
    public function remind(): int
    {
        $written = 0;
        $today = $this->clock->today();
        foreach (Ask::query()->where('state', AskState::Open)->orderBy('id')->pluck('id')->all() as $id) {
            $written += $this->database->transaction(function () use ($id, $today): int {
                $ask = Ask::query()->lockForUpdate()->where('state', AskState::Open)->whereKey($id)->first();
                $stage = $ask === null ? null : self::stage($ask, $today);
                if ($ask === null || $stage === null || $this->still->of($ask) === []) {
                    return 0;
                }
                $ask->update(['reminded_on' => $today->date()]);
                $this->write($ask, LetterKind::RenewalsReminder, "reminder {$stage}");

                return 1;
            });
        }

        return $written;
    }

    /** Nothing is decided by it; the link is no longer good. */
    public function withdraw(User $user, Ask $ask): bool
    {
        return $this->database->transaction(function () use ($user, $ask): bool {
            $locked = Ask::query()->lockForUpdate()->findOrFail($ask->id);
            if ($locked->state !== AskState::Open) {
                return false;
            }
            $locked->update(['state' => AskState::Withdrawn, 'ended_on' => $this->clock->now()]);
            $this->links->withdraw(LinkPurpose::AnswerRenewals, LinkOf::ask($locked));
            Letter::query()
                ->where('ask_id', $locked->id)
                ->whereIn('state', [LetterState::Waiting, LetterState::Doubtful])
                ->update(['state' => LetterState::CalledOff]);
            $this->log->write('ask_withdrawn', 'client', $locked->client_id, ['ask' => $locked->id], $user->id);

            return true;
        });
    }

    /** The nearest reminder whose day has come, and that was not sent; null: none. */
    private static function stage(Ask $ask, Instant $today): ?int
    {
        $left = $today->daysUntil($ask->by());
        $reached = array_filter(self::REMIND, fn (int $days): bool => $left <= $days && $left >= 0);
        $last = $ask->reminded_on === null ? $ask->asked_on->toDay() : Instant::of($ask->reminded_on);
        $stage = $reached === [] ? null : min($reached);

        // Who was written to once that day had come has been reminded of it.
        return $stage === null || $last->daysUntil($ask->by()) <= $stage ? null : $stage;
    }

    private function write(Ask $ask, LetterKind $kind, string $about): void
    {
        $language = Client::query()->findOrFail($ask->client_id)->language;
        $this->letters->asking(
            $kind,
            LinkPurpose::AnswerRenewals,
            LinkOf::ask($ask),
            $ask->mailbox,
            $language->speak(fn (): array => array_map(
                fn (AskLine $line): string => $this->words->line($line->name->unicode, $line->ends(), $line->sum()),
                array_values($this->still->of($ask)),
            )),
            $ask->by(),
            self::LATE,
            $about,
            language: $language,
        );
    }

    /**
     * @param  list<int>  $nameIds
     * @return list<array{name_id: int, position: int, ends_on: string, price: string|null, currency: string|null}>
     */
    private function rows(Client $client, array $nameIds): array
    {
        $rows = [];
        foreach ($this->files->held($nameIds, $this->clock->now()) as $id => $file) {
            $price = $file->late->renew;
            if ($file->clientId === $client->id && $file->facts->ends !== null) {
                $rows[] = [
                    'name_id' => $id,
                    'position' => count($rows) + 1,
                    'ends_on' => $file->facts->ends->date(),
                    'price' => $price instanceof Money ? $price->decimal() : null,
                    'currency' => $price?->currency,
                ];
            }
        }

        return $rows;
    }
}
