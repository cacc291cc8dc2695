<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Movement\LegKind;
use App\Actions\Deeds\DeedError;
use App\Actions\Links\LinkOf;
use App\Actions\Links\OpenLink;
use App\Actions\Movements\TakeLegs;
use App\Actions\Post\WriteLetter;
use App\Models\AuthCode;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\LetterKind;
use App\Models\LineState;
use App\Models\LinkPurpose;
use App\Models\Secret;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * Gives auth codes to whoever has names transferred away: a letter with a link, behind which they are shown once. The codes themselves
 * stand in no letter.
 */
final readonly class HandOutCodes
{
    /** Days in which the codes can be read there: the house's own choice. */
    private const DAYS = 7;

    public function __construct(
        private Connection $database,
        private WriteLetter $letters,
        private OpenLink $links,
        private TakeLegs $legs,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /** Dockets whose codes are all in hand, and of which nobody was written to yet. */
    public function due(): void
    {
        $rows = $this->database->select(
            "SELECT d.id FROM dockets d WHERE d.deed = ? AND d.state = ? AND jsonb_exists(d.terms, 'mailbox')
                AND NOT EXISTS (SELECT FROM code_handouts h WHERE h.docket_id = d.id)
                AND NOT EXISTS (SELECT FROM docket_lines l WHERE l.docket_id = d.id AND l.state = 'waiting')
                AND NOT EXISTS (SELECT FROM movements m JOIN legs g ON g.movement_id = m.id
                    WHERE m.docket_id = d.id AND m.closed_on IS NULL AND g.kind = 'code' AND g.done_on IS NULL)
                AND EXISTS (SELECT FROM movements m JOIN legs g ON g.movement_id = m.id
                    WHERE m.docket_id = d.id AND m.closed_on IS NULL AND g.kind = 'hand_out' AND g.done_on IS NULL) ORDER BY d.id",
            [TransferAway::key(), DocketState::Settled->value],
        );
        foreach (Row::all($rows) as $row) {
            $this->database->transaction(function () use ($row): void {
                $docket = Docket::query()->lockForUpdate()->findOrFail($row->int('id'));
                if ($docket->state === DocketState::Settled) {
                    $this->write($docket);
                }
            });
        }
    }

    /**
     * Once more, as nobody has read them; the link in the previous letter is no longer valid.
     *
     * @throws DeedError when nobody waits for them
     */
    public function again(User $user, Docket $docket): void
    {
        $this->database->transaction(function () use ($user, $docket): void {
            $locked = Docket::query()->lockForUpdate()->findOrFail($docket->id);
            if ($locked->state !== DocketState::Settled || $this->waiting($locked->id) === []) {
                throw DeedError::nobodyToAsk();
            }
            $this->write($locked);
            $this->log->write('codes_sent_again', 'docket', $docket->id, [], $user->id);
        });
    }

    /** @return list<string> names whose codes are shown behind this link; none: there is nothing to show any more */
    public function names(int $docketId): array
    {
        return array_column($this->waiting($docketId), 'unicode');
    }

    /** @return array<string, string>|null codes by name, shown this once; null: the link is no longer valid */
    public function show(string $token): ?array
    {
        return $this->database->transaction(function () use ($token): ?array {
            $link = $this->links->handle($token, lock: true);
            if ($link?->purpose !== LinkPurpose::ReceiveCodes || $link->docket_id === null) {
                return null;
            }
            $now = $this->clock->now();
            $codes = [];
            $ids = [];
            foreach ($this->waiting($link->docket_id) as ['id' => $id, 'unicode' => $unicode]) {
                $kept = AuthCode::query()->find($id);
                if ($kept !== null) {
                    $codes[$unicode] = Secret::query()->findOrFail($kept->secret_id)->value;
                    $ids[] = $id;
                    $this->log->write('code_handed', 'name', $id, ['docket' => $link->docket_id, 'to' => $link->mailbox]);
                }
            }
            if ($codes === []) {
                return null;
            }
            $this->database->update('UPDATE links SET used_at = clock_timestamp() WHERE id = ?', [$link->id]);
            $this->database->update('UPDATE code_handouts SET shown_on = ? WHERE docket_id = ?', [$now->isoSecond(), $link->docket_id]);
            $this->legs->take($ids, [LegKind::HandOut], $now);

            return $codes;
        });
    }

    /** @return list<array{id: int, unicode: string}> names that are still to leave, and whose code nobody was given */
    private function waiting(int $docketId): array
    {
        return array_map(
            fn (Row $row): array => ['id' => $row->int('name_id'), 'unicode' => $row->text('unicode')],
            Row::all($this->database->select(
                "SELECT l.name_id, n.unicode FROM docket_lines l JOIN names n ON n.id = l.name_id
                 JOIN auth_codes a ON a.name_id = l.name_id
                 JOIN movements m ON m.docket_id = l.docket_id AND m.name_id = l.name_id AND m.closed_on IS NULL
                 JOIN legs g ON g.movement_id = m.id AND g.kind = 'hand_out' AND g.done_on IS NULL
                 WHERE l.docket_id = ? AND l.state = ? ORDER BY l.position",
                [$docketId, LineState::Begun->value],
            )),
        );
    }

    private function write(Docket $docket): void
    {
        $terms = AwayTerms::unpack($docket->terms);
        $names = $this->names($docket->id);
        if ($terms->mailbox === null || $names === []) {
            return;
        }
        $now = $this->clock->now();
        $this->database->insert(
            'INSERT INTO code_handouts (docket_id, mailbox, written_on) VALUES (?, ?, ?)
             ON CONFLICT (docket_id) DO UPDATE SET mailbox = excluded.mailbox, written_on = excluded.written_on',
            [$docket->id, $terms->mailbox, $now->isoSecond()],
        );
        $this->letters->asking(
            LetterKind::Codes,
            LinkPurpose::ReceiveCodes,
            LinkOf::docket($docket),
            $terms->mailbox,
            $names,
            $now->plusDays(self::DAYS),
            0,
            "docket {$docket->id}",
            ['registrar' => $terms->registrar],
        );
    }
}
