<?php

declare(strict_types=1);

namespace App\Queries\Outside;

use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\PublishedRecord;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Record\DriftField;
use Acre\Core\Record\Held;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Queries\Contacts\Holders;
use App\Queries\Names\HeldCase;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Our books' side of names, as it is compared with what was seen outside. */
final readonly class HeldFacts
{
    public function __construct(private Connection $database, private Holders $holders, private Rulebook $book)
    {
    }

    /**
     * @param  array<int, HeldCase>  $files  by name id
     * @param  Instant  $now  by which rules what is to be read is judged
     * @return array<int, Held>
     */
    public function of(array $files, Instant $now): array
    {
        $holders = $this->holders->of(array_values($files));
        $behind = $written = [];
        $registrars = '{'.implode(',', array_unique(array_map(fn (HeldCase $file): int => $file->account->registrar, $files))).'}';
        foreach (
            Row::all($this->database->select('SELECT id, behind FROM registrars WHERE id = ANY (?::bigint[])', [$registrars])) as $row
        ) {
            $behind[$row->int('id')] = array_values(array_filter($row->json('behind'), is_string(...)));
        }
        $registrations = '{'.implode(',', array_map(fn (HeldCase $file): int => $file->registrationId, $files)).'}';
        foreach (
            Row::all($this->database->select('SELECT name_id, sources FROM registrations
                WHERE id = ANY (?::bigint[])', [$registrations])) as $row
        ) {
            $written[$row->int('name_id')] = self::written($row->json('sources'));
        }
        $held = [];
        foreach ($files as $id => $file) {
            $holder = $file->guard === null ? null : $holders[$file->guard->contact] ?? null;
            $published =
                $holder === null
                    ? null
                    : PublishedRecord::of(
                        $holder,
                        $file->told ?? Pattern::of([]),
                        $this->book->for($file->facts->name->suffix(), $now)->published->value,
                        in_array(ExtraKind::Privacy, $file->extras, true),
                    );
            // A registrant that became another one was recorded then, if not since.
            $changes = array_values(array_filter([$file->guard?->changed, $written[$id][DriftField::Holder->value] ?? null]));
            $since = $changes === [] ? [] : [DriftField::Holder->value => Instant::latest(...$changes)];
            $held[$id] = new Held(
                $file->facts,
                $file->servers,
                $file->account->registrarName,
                $behind[$file->account->registrar] ?? [],
                $file->waiting !== null,
                $since + ($written[$id] ?? []), // What our own books say since is not what its registrar has.
                $file->guard?->told === null ? $published : null,
                $file->told !== null,
                max(1, $this->book->for($file->facts->name->suffix(), $now)->leastMonths->value),
            );
        }

        return $held;
    }

    /**
     * @param  array<array-key, mixed>  $sources
     * @return array<string, Instant> by what a drift is about
     */
    private static function written(array $sources): array
    {
        // A form says the column, a list the fact.
        $facts = [
            'ends_on' => DriftField::Ends,
            'ends' => DriftField::Ends,
            'created_on' => DriftField::Created,
            'created' => DriftField::Created,
            'statuses' => DriftField::Statuses,
            'lock' => DriftField::Lock,
            'servers' => DriftField::Servers,
            'shown' => DriftField::Disclosure,
            'registrant' => DriftField::Holder,
        ];
        $written = [];
        foreach ($sources as $fact => $source) {
            $field = $facts[$fact] ?? null;
            if ($field === null || ! is_array($source) || ! is_string($source['at'] ?? null)) {
                continue;
            }
            try {
                $written[$field->value] = Instant::of($source['at']);
            } catch (TimeError) {
                // An older shape of the same fact says nothing of when.
            }
        }

        return $written;
    }
}
