<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Rulebook\Side;
use App\Actions\Links\OpenLink;
use App\Actions\Verification\VerifyMailbox;
use App\Jobs\CarryConfirmed;
use App\Models\Confirmation;
use App\Models\Contact;
use App\Models\Docket;
use App\Models\LinkPurpose;
use App\Models\Mailbox;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What a registrant, the one until then or the new one, says behind the link of their letter: yes to which text, or no. */
final readonly class SideAnswers
{
    public function __construct(
        private Connection $database,
        private OpenLink $links,
        private VerifyMailbox $verify,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /** @return bool false: the link is no longer valid */
    public function yes(string $token): bool
    {
        return $this->answer($token, true, null);
    }

    /** @return bool false: the link is no longer valid */
    public function no(string $token, string $words): bool
    {
        return $this->answer($token, false, $words === '' ? null : mb_substr($words, 0, 900));
    }

    private function answer(string $token, bool $confirmed, ?string $words): bool
    {
        return $this->database->transaction(function () use ($token, $confirmed, $words): bool {
            $found = $this->links->handle($token);
            $docket =
                $found?->purpose !== LinkPurpose::ConfirmRegistrant
                    ? null
                    : Confirmation::query()->find($found->confirmation_id)?->docket_id;
            // In the house's order: docket, word, link.
            Docket::query()->lockForUpdate()->find($docket);
            $confirmation =
                $docket === null
                    ? null
                    : Confirmation::query()
                        ->with('docket')
                        ->whereNull('answered_on')
                        ->lockForUpdate()
                        ->find($found->confirmation_id ?? 0);
            $link = $confirmation === null ? null : $this->links->handle($token, lock: true);
            if ($link === null || $confirmation === null) {
                return false;
            }
            $now = $this->clock->now();
            $this->database->update('UPDATE links SET used_at = clock_timestamp() WHERE id = ?', [$link->id]);
            $version =
                $confirmed && $confirmation->side === Side::New
                    ? Contact::query()->with('today')->find($confirmation->contact_id)?->today->id
                    : null;
            $confirmation->update(['answered_on' => $now, 'confirmed' => $confirmed, 'words' => $words, 'version_id' => $version]);
            if ($confirmed) {
                $this->keep($confirmation);
            }
            $this->log->write($confirmed ? 'registrant_confirmed' : 'registrant_declined', 'docket', $confirmation->docket_id, [
                'contact' => $confirmation->contact_id,
                'side' => $confirmation->side->value,
            ]);
            $this->database->afterCommit(fn () => CarryConfirmed::dispatch($confirmation->id));

            return true;
        });
    }

    /** Which text was agreed to, by whom, on whose authority: their own, in answer to that letter. */
    private function keep(Confirmation $confirmation): void
    {
        $agreement = $confirmation->docket->terms['agreement'] ?? null;
        $this->database->table('agreements')->insertOrIgnore([
            'docket_id' => $confirmation->docket_id,
            'contact_id' => $confirmation->contact_id,
            'words' => is_string($agreement) && $agreement !== '' ? $agreement : "docket {$confirmation->docket_id}",
            'authority' => "their own, in answer to letter {$confirmation->letter?->id}",
            'accepted_on' => $this->clock->now()->isoSecond(),
            'user_id' => null,
        ]);
        // Who reads that mailbox has just shown it; a registrar that asks by itself wants its own letter answered.
        $mailbox =
            $confirmation->side === Side::New && ! $this->isAskedElsewhere($confirmation->docket_id)
                ? Mailbox::query()
                    ->whereRaw('lower(address) = lower(?)', [$confirmation->mailbox])
                    ->whereNull('verified_on')
                    ->first()
                : null;
        if ($mailbox !== null) {
            $this->verify->handle($mailbox->id, 'letter');
        }
    }

    private function isAskedElsewhere(int $docketId): bool
    {
        return $this->database
            ->table('docket_lines')
            ->join('accounts', 'accounts.id', '=', 'docket_lines.giving_account_id')
            ->join('registrars', 'registrars.id', '=', 'accounts.registrar_id')
            ->where('docket_id', $docketId)
            ->where('verifies_by', 'registrar')
            ->exists();
    }
}
