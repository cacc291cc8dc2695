<?php

declare(strict_types=1);

namespace App\Actions\Ending;

use Acre\Core\Lifecycle\EndNotice;
use Acre\Core\Money\Money;
use App\Actions\Post\WriteLetter;
use App\Models\LetterKind;
use App\Support\HouseLog;
use App\Support\Language;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\EndInWords;
use Illuminate\Database\Connection;

/**
 * Writes to clients around the end of names of theirs that are neither renewed by themselves nor let go, at each notice once. Late, only
 * the notice that has come is written. Ours says what its registrar’s says as well, and to whom to turn.
 */
final readonly class WriteEndLetters
{
    /** Whom a letter that waits for an answer has asked already, or whose renewal is on its way, is not told. */
    private const DUE = <<<'SQL'
    SELECT s.name_id, s.ascii, s.unicode, s.client_id, s.ends_on, c.mailbox, c.language, s.sum, s.currency
    FROM standings s JOIN clients c ON c.id = s.client_id AND c.end_letters AND c.mailbox <> ''
    WHERE s.account_id > 0 AND s.intent IN ('when_told', 'ask_client') AND s.phase IN ('in_term', 'grace')
        AND s.ends_on >= :first::timestamptz AND s.ends_on < :last::timestamptz
        AND NOT EXISTS (SELECT FROM end_letters e WHERE e.name_id = s.name_id AND e.ends_on = s.ends_on::date AND e.stage = :stage)
        AND NOT EXISTS (SELECT FROM ask_lines l JOIN asks a ON a.id = l.ask_id WHERE l.name_id = s.name_id
            AND a.client_id = s.client_id AND a.state = 'open')
        AND NOT EXISTS (SELECT FROM docket_lines l JOIN dockets d ON d.id = l.docket_id WHERE l.name_id = s.name_id
            AND d.deed = 'renew' AND l.state IN ('prepared', 'waiting', 'begun'))
    SQL;

    public function __construct(
        private Connection $database,
        private WriteLetter $letters,
        private TradeClock $clock,
        private EndInWords $words,
        private HouseLog $log,
    ) {
    }

    /** @return int how many letters were written; run again it writes only what is missing */
    public function handle(): int
    {
        $written = 0;
        foreach (EndNotice::cases() as $notice) {
            foreach ($this->clients($notice) as $clientId) {
                $written += $this->database->transaction(fn (): int => $this->write($clientId, $notice));
            }
        }

        return $written;
    }

    /** @return list<int> clients with names of which they have not been told so */
    private function clients(EndNotice $notice): array
    {
        return array_map(
            fn (Row $row): int => $row->int('client_id'),
            Row::all($this->database->select(
                'SELECT DISTINCT client_id FROM ('.self::DUE.') due ORDER BY client_id',
                $this->span($notice),
            )),
        );
    }

    private function write(int $clientId, EndNotice $notice): int
    {
        $this->database->select('SELECT id FROM clients WHERE id = ? FOR UPDATE', [$clientId]);
        $rows = Row::all($this->database->select(
            'SELECT * FROM ('.self::DUE.') due WHERE client_id = :client ORDER BY ends_on, ascii',
            ['client' => $clientId] + $this->span($notice),
        ));
        if ($rows === []) {
            return 0;
        }
        $kind = LetterKind::ofEnd($notice);
        $language = Language::from($rows[0]->text('language'));
        $letter = $this->letters->toClient(
            $kind,
            $clientId,
            $rows[0]->text('mailbox'),
            $language->speak(fn (): array => array_map(fn (Row $row): string => $this->line($row, $notice), $rows)),
            "{$kind->value} {$this->clock->today()->date()}",
            $language,
        );
        foreach (array_chunk($rows, 500) as $some) {
            $this->database->table('end_letters')->insert(array_map(fn (Row $row): array => [
                'name_id' => $row->int('name_id'),
                'ends_on' => $row->instant('ends_on')?->date(),
                'stage' => $kind->value,
                'letter_id' => $letter->id,
            ], $some));
        }
        $this->log->write('end_letter_written', 'client', $clientId, ['stage' => $kind->value, 'names' => count($rows)]);

        return 1;
    }

    /** @return array{first: string, last: string, stage: string} */
    private function span(EndNotice $notice): array
    {
        [$most, $least] = $notice->days();
        $today = $this->clock->today();

        return [
            'first' => $today->plusDays($least)->isoSecond(),
            'last' => $today->plusDays($most + 1)->isoSecond(),
            'stage' => LetterKind::ofEnd($notice)->value,
        ];
    }

    private function line(Row $row, EndNotice $notice): string
    {
        $sum = $row->textOrNull('sum');

        return $this->words->line(
            $row->text('unicode'),
            $row->instant('ends_on') ?? $this->clock->today(),
            $sum === null ? null : Money::of($sum, $row->text('currency')),
            $notice->isAfter(),
        );
    }
}
