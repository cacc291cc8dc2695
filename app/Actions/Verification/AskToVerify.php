<?php

declare(strict_types=1);

namespace App\Actions\Verification;

use App\Actions\Links\LinkOf;
use App\Actions\Post\WriteLetter;
use App\Actions\Setbacks\SetAside;
use App\Models\Letter;
use App\Models\LetterKind;
use App\Models\LinkPurpose;
use App\Models\Mailbox;
use App\Models\SetbackKind;
use App\Models\User;
use App\Queries\Verification\ReadBoard;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * Writes to registrants whose mailbox must be verified: at once, and again as the day nears; each asking once, with a link that replaces
 * the one before.
 */
final readonly class AskToVerify
{
    /** Days before the deadline at which a reminder goes: the house's own choice. */
    private const REMIND = [7, 3, 1];

    /** Days after the deadline for which the link in the last letter is good: late is better than dark. */
    private const LATE = 30;

    public function __construct(
        private Connection $database,
        private ReadBoard $board,
        private WriteLetter $letters,
        private SetAside $aside,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /** @return int how many letters were written */
    public function due(): int
    {
        $written = 0;
        foreach ($this->board->due(most: null) as $row) {
            $stage = $row->int('by_house') > 0 ? $this->stage($row) : null;
            if ($stage !== null) {
                $id = $row->int('mailbox_id');
                $this->aside->attempt(SetbackKind::Mailbox, $id, function () use ($id, $stage, &$written): void {
                    $written += (int) $this->write($id, $stage);
                });
            }
        }

        return $written;
    }

    /** Once more, because somebody asks for it. */
    public function again(User $user, int $mailboxId): bool
    {
        $written = $this->write($mailboxId, 'again '.$this->clock->now()->isoSecond());
        if ($written) {
            $this->log->write('verification_asked_again', 'mailbox', $mailboxId, [], $user->id);
        }

        return $written;
    }

    /** Which asking it is time for; null: none. */
    private function stage(Row $row): ?string
    {
        $by = $row->instant('by')?->toDay();
        if ($by === null || $by->hasComeAt($this->clock->now())) {
            return null;
        }
        $reached = self::reached($this->clock->today()->daysUntil($by));
        $last = $row->instant('letter_on')?->toDay();
        if ($last === null || $reached === null) {
            // Where nobody was asked yet, the first letter comes first, however late.
            return $last === null ? $by->date().' first' : null;
        }

        // A letter that went when that day had come already reminded of it.
        return self::reached($last->daysUntil($by)) === $reached ? null : $by->date()." {$reached}";
    }

    /** The nearest reminder that its day has come for; null: none yet. */
    private static function reached(int $left): ?int
    {
        $reached = array_filter(self::REMIND, fn (int $days): bool => $left <= $days);

        return $reached === [] ? null : min($reached);
    }

    private function write(int $mailboxId, string $stage): bool
    {
        return $this->database->transaction(function () use ($mailboxId, $stage): bool {
            $mailbox = Mailbox::query()->lockForUpdate()->findOrFail($mailboxId);
            $names = array_values(
                array_filter($this->board->names($mailboxId), fn (Row $name): bool => $name->textOrNull('verifies_by') === 'house'),
            );
            if (
                $mailbox->verified_on !== null ||
                $names === [] ||
                Letter::query()->where('mailbox_id', $mailboxId)->where('kind', 'verification')->where('about', $stage)->exists()
            ) {
                return false;
            }
            $by = $names[0]->instant('verify_by') ?? $this->clock->now();
            $kind = str_ends_with($stage, 'first') ? LetterKind::VerificationFirst : LetterKind::VerificationReminder;
            $this->letters->asking(
                $kind,
                LinkPurpose::VerifyMailbox,
                LinkOf::mailbox($mailboxId),
                $mailbox->address,
                array_map(fn (Row $name): string => $name->text('unicode'), $names),
                $by,
                self::LATE,
                $stage,
            );
            $this->log->write('verification_asked', 'mailbox', $mailboxId, ['names' => count($names)]);

            return true;
        });
    }
}
