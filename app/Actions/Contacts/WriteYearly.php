<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use App\Jobs\SendPost;
use App\Models\Letter;
use App\Support\HouseLog;
use App\Support\HouseSettings;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/** Once a year a registrant is sent all names and the data on record (ICANN data reminder policy): one letter a mailbox. An answer is welcome, silence harms nothing. */
final readonly class WriteYearly
{
    /** Mailboxes in one go; the rest comes with the next. */
    private const AT_ONCE = 200;

    private const LISTED = 200;

    public function __construct(private Connection $database, private TradeClock $clock, private HouseSettings $house, private Words $words, private HouseLog $log)
    {
    }

    /** @return int how many letters were written; run again in the same year it writes only what is missing */
    public function handle(): int
    {
        $year = substr($this->clock->today()->date(), 0, 4);
        $rows = Row::all($this->database->select(
            "SELECT m.id, m.address, min(v.contact_id) AS contact_id FROM mailboxes m JOIN contact_versions v ON v.mailbox_id = m.id AND upper_inf(v.span) JOIN roles o ON o.contact_id = v.contact_id AND o.role = 'registrant' AND upper_inf(o.span)
             WHERE NOT EXISTS (SELECT 1 FROM letters l WHERE l.mailbox_id = m.id AND l.kind = 'yearly' AND l.about = ?) GROUP BY m.id ORDER BY m.id LIMIT ?", [$year, self::AT_ONCE],
        ));
        foreach ($rows as $row) {
            $this->database->transaction(fn () => $this->write($row, $year));
        }
        if ($rows !== []) {
            $this->database->afterCommit(fn () => SendPost::dispatch());
        }

        return count($rows);
    }

    private function write(Row $mailbox, string $year): void
    {
        $now = $this->clock->now();
        $names = array_map(fn (Row $row): string => '  '.$row->text('unicode'), Row::all($this->database->select(
            'SELECT n.unicode FROM registrants x JOIN names n ON n.id = x.name_id WHERE x.mailbox_id = ? ORDER BY n.ascii LIMIT ?', [$mailbox->int('id'), self::LISTED + 1],
        )));
        $data = Row::of($this->database->selectOne('SELECT organisation, person, street, town, region, postcode, country, voice FROM contact_versions WHERE contact_id = ? AND upper_inf(span)', [$mailbox->int('contact_id')]));
        $lines = array_filter([$data->textOrNull('organisation'), $data->textOrNull('person'), implode(', ', array_filter($data->json('street'), is_string(...))), trim(($data->textOrNull('town') ?? '').' '.($data->textOrNull('postcode') ?? '')), $data->textOrNull('region'), $data->textOrNull('country'), $data->textOrNull('voice'), $mailbox->text('address')], fn (?string $line): bool => $line !== null && $line !== '');
        $said = [
            'house' => $this->house->name(), 'year' => $year, 'data' => implode("\n", array_map(fn (string $line): string => "  {$line}", $lines)),
            'names' => implode("\n", array_slice($names, 0, self::LISTED)).(count($names) > self::LISTED ? "\n  …" : ''),
        ];
        Letter::query()->create([
            'kind' => 'yearly', 'mailbox_id' => $mailbox->int('id'), 'mailbox' => $mailbox->text('address'), 'written_on' => $now, 'day' => $now->date(), 'about' => $year,
            'subject' => $this->words->say('letters.yearly.subject', $said), 'body' => $this->words->say('letters.yearly.body', $said),
        ]);
        $this->log->write('yearly_sent', 'mailbox', $mailbox->int('id'), ['names' => count($names)]);
    }
}
