<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use App\Actions\Deeds\DeedError;
use App\Actions\Links\OpenLink;
use App\Jobs\CarryAccepted;
use App\Models\Acceptance;
use App\Models\Account;
use App\Models\Docket;
use App\Models\Link;
use App\Models\LinkPurpose;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What the receiver says behind the link of their letter: yes, with what names their account, or no. */
final readonly class ReceiverAnswers
{
    public function __construct(private Connection $database, private OpenLink $links, private TradeClock $clock, private HouseLog $log)
    {
    }

    /**
     * @param  array<string, string>  $typed  by identifier
     * @return bool false: the link is no longer valid
     *
     * @throws DeedError when that does not name the account; the link remains good for some more tries
     */
    public function accept(string $token, array $typed): bool
    {
        $isRight = $this->database->transaction(function () use ($token, $typed): ?bool {
            [$link, $acceptance] = $this->open($token);
            if ($link === null || $acceptance === null) {
                return null;
            }
            if (! self::names($acceptance->account, $typed)) {
                $link->misses++;
                $this->database->update(
                    'UPDATE links SET misses = misses + 1, withdrawn_at = CASE WHEN misses + 1 >= ? THEN clock_timestamp() END
                        WHERE id = ?',
                    [OpenLink::MISSES, $link->id],
                );

                return false;
            }
            $this->use($link, $acceptance, true, null);
            // Whoever reads that mailbox has typed what names the account: that it belongs together is proven.
            Account::query()
                ->whereKey($acceptance->account_id)
                ->whereNull('proven_at')
                ->update(['proven_at' => $this->clock->now()->isoSecond()]);

            return true;
        });

        return $isRight === false ? throw DeedError::namesAnother() : $isRight === true;
    }

    /** @return bool false: the link is no longer valid */
    public function refuse(string $token, string $words): bool
    {
        return $this->database->transaction(function () use ($token, $words): bool {
            [$link, $acceptance] = $this->open($token);
            if ($link === null || $acceptance === null) {
                return false;
            }
            $this->use($link, $acceptance, false, $words === '' ? null : mb_substr($words, 0, 900));

            return true;
        });
    }

    /** @return array{Link|null, Acceptance|null} locked in the house's order: docket, word, link */
    private function open(string $token): array
    {
        $found = $this->links->handle($token);
        if ($found?->purpose !== LinkPurpose::AcceptHandover) {
            return [null, null];
        }
        Docket::query()->lockForUpdate()->find($found->docket_id);
        $acceptance = Acceptance::query()->with('account.registrar')->whereNull('answered_on')->lockForUpdate()->find($found->docket_id);

        return [$this->links->handle($token, lock: true), $acceptance];
    }

    private function use(Link $link, Acceptance $acceptance, bool $accepted, ?string $words): void
    {
        $this->database->update('UPDATE links SET used_at = clock_timestamp() WHERE id = ?', [$link->id]);
        $acceptance->update(['answered_on' => $this->clock->now(), 'accepted' => $accepted, 'words' => $words]);
        $this->database->afterCommit(fn () => CarryAccepted::dispatch($acceptance->docket_id));
        $this->log->write($accepted ? 'receiver_accepted' : 'receiver_refused', 'docket', $link->docket_id, [
            'account' => $acceptance->account_id,
        ]);
    }

    /** @param  array<string, string>  $typed */
    private static function names(Account $account, array $typed): bool
    {
        $isRight = true;
        foreach ($account->registrar->receiver_by->identifiers() as $identifier) {
            $kept = mb_strtolower(trim((string) $account->facts()->identifier($identifier)));
            // All are compared, so that how long it takes tells nothing.
            $isRight = hash_equals($kept, mb_strtolower(trim($typed[$identifier->value] ?? ''))) && $kept !== '' && $isRight;
        }

        return $isRight;
    }
}
