<?php

declare(strict_types=1);

namespace App\Actions\Verification;

use App\Actions\Links\OpenLink;
use App\Models\Link;
use App\Models\LinkPurpose;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What a registrant says behind the link of their letter: that it is right, or what is wrong. */
final readonly class RegistrantAnswers
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
    public function right(string $token): bool
    {
        return $this->database->transaction(function () use ($token): bool {
            $link = $this->use($token);
            if ($link?->mailbox_id === null) {
                return false;
            }
            $this->verify->handle($link->mailbox_id, 'letter');

            return true;
        });
    }

    /**
     * Nothing is verified by that: what is wrong of the data is the house's to put right first.
     *
     * @return bool false: the link is no longer valid
     */
    public function wrong(string $token, string $words): bool
    {
        return $this->database->transaction(function () use ($token, $words): bool {
            $link = $this->use($token);
            if ($link?->mailbox_id === null) {
                return false;
            }
            $this->database
                ->table('objections')
                ->insert([
                    'mailbox_id' => $link->mailbox_id,
                    'words' => mb_substr($words, 0, 1_000),
                    'said_on' => $this->clock->now()->isoSecond(),
                ]);
            $this->log->write('registrant_objected', 'mailbox', $link->mailbox_id);

            return true;
        });
    }

    private function use(string $token): ?Link
    {
        $link = $this->links->handle($token, lock: true);
        if ($link?->purpose !== LinkPurpose::VerifyMailbox) {
            return null;
        }
        $this->database->update('UPDATE links SET used_at = clock_timestamp() WHERE id = ?', [$link->id]);

        return $link;
    }
}
