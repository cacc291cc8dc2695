<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use App\Actions\Post\WriteLetter;
use App\Actions\Setbacks\SetAside;
use App\Models\LetterKind;
use App\Models\SetbackKind;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/**
 * Once a year a registrant is sent all names and the data on record (ICANN data reminder policy): one letter a mailbox. An answer is
 * welcome, silence harms nothing.
 */
final readonly class WriteYearly
{
    /** Mailboxes in one go; the rest comes with the next. */
    private const AT_ONCE = 200;

    private const LISTED = 200;

    public function __construct(
        private Connection $database,
        private WriteLetter $letters,
        private SetAside $aside,
        private TradeClock $clock,
        private Words $words,
        private HouseLog $log,
    ) {
    }

    /** @return int how many letters were written; run again in the same year it writes only what is missing */
    public function handle(): int
    {
        $year = substr($this->clock->today()->date(), 0, 4);
        $rows = Row::all(
            $this->database->select(
                "SELECT m.id, m.address FROM mailboxes m JOIN contact_versions v ON v.mailbox_id = m.id AND upper_inf(v.span)
                    JOIN roles o ON o.contact_id = v.contact_id AND o.role = 'registrant' AND upper_inf(o.span)
             WHERE NOT EXISTS (SELECT 1 FROM letters l WHERE l.mailbox_id = m.id AND l.kind = 'yearly' AND l.about = ?)
                AND NOT EXISTS (SELECT FROM setbacks b WHERE b.kind = 'mailbox' AND b.subject_id = m.id
                AND b.retry_at > clock_timestamp()) GROUP BY m.id ORDER BY m.id LIMIT ?",
                [$year, self::AT_ONCE],
            ),
        );
        foreach ($rows as $row) {
            $this->aside->attempt(
                SetbackKind::Mailbox,
                $row->int('id'),
                fn () => $this->database->transaction(fn () => $this->write($row, $year)),
            );
        }

        return count($rows);
    }

    private function write(Row $mailbox, string $year): void
    {
        $records = [];
        $count = 0;
        foreach (
            Row::all(
                $this->database->select(
                    'SELECT contact_id, unicode FROM registrants x JOIN names n ON n.id = x.name_id WHERE x.mailbox_id = ?
                        ORDER BY contact_id, n.ascii LIMIT ?',
                    [$mailbox->int('id'), self::LISTED + 1],
                ),
            ) as $row
        ) {
            if (++$count <= self::LISTED) {
                $records[$row->int('contact_id')][] = $row->text('unicode');
            }
        }
        $said = [
            'year' => $year,
            'records' => implode(
                "\n\n",
                array_map(
                    fn (int $contact, array $names): string => $this->words->say('letters.record', [
                        'data' => self::lines($this->data($contact, $mailbox->text('address'))),
                        'names' => self::lines($names),
                    ]),
                    array_keys($records),
                    $records,
                ),
            ).($count > self::LISTED ? "\n  …" : ''),
        ];
        $this->letters->telling(
            LetterKind::Yearly,
            $mailbox->int('id'),
            $mailbox->text('address'),
            min($count, self::LISTED),
            $year,
            $said,
        );
        $this->log->write('yearly_sent', 'mailbox', $mailbox->int('id'), ['names' => min($count, self::LISTED)]);
    }

    /** @return list<string> what is on record of one of those who are written to at this mailbox */
    private function data(int $contactId, string $address): array
    {
        $data = Row::of(
            $this->database->selectOne(
                'SELECT organisation, person, street, town, region, postcode, country, voice FROM contact_versions
                    WHERE contact_id = ? AND upper_inf(span)',
                [$contactId],
            ),
        );
        $town = trim(($data->textOrNull('town') ?? '').' '.($data->textOrNull('postcode') ?? ''));

        return array_values(
            array_filter(
                [
                    $data->textOrNull('organisation'),
                    $data->textOrNull('person'),
                    implode(', ', array_filter($data->json('street'), is_string(...))),
                    $town,
                    $data->textOrNull('region'),
                    $data->textOrNull('country'),
                    $data->textOrNull('voice'),
                    $address,
                ],
                fn (?string $line): bool => $line !== null && $line !== '',
            ),
        );
    }

    /** @param  list<string>  $lines */
    private static function lines(array $lines): string
    {
        return implode("\n", array_map(fn (string $line): string => "  {$line}", $lines));
    }
}
