<?php

declare(strict_types=1);

namespace App\Actions\Ending;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Actions\Post\WriteLetter;
use App\Models\LetterKind;
use App\Support\Dates;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/**
 * Writes to clients a month and a week before names of theirs end that are neither renewed by themselves nor let go, on the day, and
 * after it. A gTLD registrar writes to the registrant at such times as well (ICANN Expired Registration Recovery Policy §2.1); ours says
 * what it says, and to whom to turn.
 */
final readonly class WriteEndLetters
{
    /**
     * From how many days before the end each goes, the latest first. Late, only the stage that has come is written.
     *
     * @var array<string, array{int, int}> first and last day, counted until the end
     */
    private const STAGES = ['ending_month' => [30, 8], 'ending_week' => [7, 1], 'ending_today' => [0, -4], 'ending_over' => [-5, -25]];

    /** Whom a letter that waits for an answer has asked already, or whose renewal is on its way, is not told. */
    private const DUE = <<<'SQL'
    SELECT s.name_id, s.ascii, s.unicode, s.client_id, s.ends_on, c.mailbox, s.sum, s.currency
    FROM standings s JOIN clients c ON c.id = s.client_id AND c.end_letters AND c.mailbox <> ''
    WHERE s.account_id > 0 AND s.intent IN ('when_told', 'ask_client') AND s.phase IN ('in_term', 'grace')
        AND s.ends_on >= :first::timestamptz AND s.ends_on < :last::timestamptz
        AND NOT EXISTS (SELECT FROM end_letters e WHERE e.name_id = s.name_id AND e.ends_on = s.ends_on::date AND e.stage = :stage)
        AND NOT EXISTS (SELECT FROM ask_lines l JOIN asks a ON a.id = l.ask_id WHERE l.name_id = s.name_id AND a.state = 'open')
        AND NOT EXISTS (SELECT FROM docket_lines l JOIN dockets d ON d.id = l.docket_id WHERE l.name_id = s.name_id
            AND d.deed = 'renew' AND l.state IN ('prepared', 'waiting', 'begun'))
    SQL;

    public function __construct(
        private Connection $database,
        private WriteLetter $letters,
        private TradeClock $clock,
        private Words $words,
        private HouseLog $log,
    ) {
    }

    /** @return int how many letters were written; run again it writes only what is missing */
    public function handle(): int
    {
        $written = 0;
        foreach (array_keys(self::STAGES) as $stage) {
            foreach ($this->clients(LetterKind::from($stage)) as $clientId) {
                $written += $this->database->transaction(fn (): int => $this->write($clientId, LetterKind::from($stage)));
            }
        }

        return $written;
    }

    /** @return list<int> clients with names of which they have not been told at this stage */
    private function clients(LetterKind $stage): array
    {
        return array_map(
            fn (Row $row): int => $row->int('client_id'),
            Row::all($this->database->select('SELECT DISTINCT client_id FROM ('.self::DUE.') due ORDER BY client_id', $this->span($stage))),
        );
    }

    private function write(int $clientId, LetterKind $stage): int
    {
        $this->database->select('SELECT id FROM clients WHERE id = ? FOR UPDATE', [$clientId]);
        $rows = Row::all($this->database->select(
            'SELECT * FROM ('.self::DUE.') due WHERE client_id = :client ORDER BY ends_on, ascii',
            ['client' => $clientId] + $this->span($stage),
        ));
        if ($rows === []) {
            return 0;
        }
        $letter = $this->letters->toClient(
            $stage,
            $clientId,
            $rows[0]->text('mailbox'),
            array_map($this->line(...), $rows),
            "{$stage->value} {$this->clock->today()->date()}",
        );
        foreach (array_chunk($rows, 500) as $some) {
            $this->database->table('end_letters')->insert(array_map(fn (Row $row): array => [
                'name_id' => $row->int('name_id'),
                'ends_on' => $row->instant('ends_on')?->date(),
                'stage' => $stage->value,
                'letter_id' => $letter->id,
            ], $some));
        }
        $this->log->write('end_letter_written', 'client', $clientId, ['stage' => $stage->value, 'names' => count($rows)]);

        return 1;
    }

    /** @return array{first: string, last: string, stage: string} */
    private function span(LetterKind $stage): array
    {
        [$most, $least] = self::STAGES[$stage->value] ?? [0, 0];
        $today = $this->clock->today();

        return [
            'first' => $today->plusDays($least)->isoSecond(),
            'last' => $today->plusDays($most + 1)->isoSecond(),
            'stage' => $stage->value,
        ];
    }

    private function line(Row $row): string
    {
        $sum = $row->textOrNull('sum');
        $ends = $row->instant('ends_on') ?? Instant::second(0);

        return $this->words->say($sum === null ? 'asks.line' : 'asks.line_priced', [
            'name' => $row->text('unicode'),
            'day' => Dates::full($ends),
            'sum' => $sum === null ? '' : Money::of($sum, $row->text('currency'))->text(),
        ]);
    }
}
