<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Lifecycle\Status;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Record\DriftField;
use Acre\Core\Record\Record;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use App\Actions\Outside\Settling;
use App\Models\Drift;
use App\Models\DriftState;
use App\Queries\Names\CaseFile;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;
use App\Queries\Outside\Observed;
use App\Support\Dates;
use Illuminate\Support\Collection;

/** The public record of one name, ready to be read: what each source says beside what the Roll says. */
final readonly class RecordPage
{
    public ?Observed $last;

    public ?Observed $own;

    public ?Observed $dns;

    public ?Record $record;

    /**
     * @param  array<string, list<Observed>>  $seen  by source, the newest first
     * @param  Collection<int, Drift>  $drifts  open and left
     */
    public function __construct(public CaseFile $file, public array $seen, private Collection $drifts, private Words $words)
    {
        $this->last = $seen[Source::Registry->value][0] ?? ($seen[Source::Text->value][0] ?? null);
        $this->own = $seen[Source::Registrar->value][0] ?? null;
        $this->dns = $seen[Source::Dns->value][0] ?? null;
        $this->record = $this->last?->record;
    }

    /** Whether our own books have something to say of it. */
    public function isHeld(): bool
    {
        return $this->file instanceof HeldCase;
    }

    /**
     * How its registry says that it is deleted: `redemption`, `pending_delete`, or `no_such_name` of one that we hold; null: it doesn't.
     */
    public function gone(): ?string
    {
        if ($this->last !== null && ! $this->last->found) {
            return $this->isHeld() ? 'no_such_name' : null;
        }
        $phase = Status::proven($this->record->statuses ?? []);

        return $phase?->isDeleted() === true ? $phase->value : null;
    }

    /** @return Collection<int, Drift> */
    public function differing(): Collection
    {
        return $this->drifts->where('state', DriftState::Open)->values();
    }

    public function isAlarming(): bool
    {
        return $this->differing()->contains(fn (Drift $drift): bool => $drift->alarming);
    }

    /** @return array<string, string> by way, where what differs is settled; none for what is left */
    public function settling(Drift $drift, string $ascii): array
    {
        return $drift->state === DriftState::Open
            ? array_map(
                fn (array $deed): string => route('deeds.show', [$deed[0], 'name' => $ascii, ...$deed[1]]),
                Settling::of($drift->finding),
            )
            : [];
    }

    /** @return list<array{field: string, registry: string, own: string, roll: string, differs: bool}> what each side says of each field */
    public function rows(): array
    {
        $rows = [];
        $sides = [$this->record, $this->own?->record];
        foreach ([DriftField::Registrar, DriftField::Ends, DriftField::Created, DriftField::Statuses, DriftField::Servers] as $field) {
            [$there, $second] = array_map(fn (?Record $one): string => $one === null ? '' : $this->said($one, $field->value), $sides);
            $about = $field === DriftField::Statuses ? [DriftField::Statuses, DriftField::Lock] : [$field];
            $rows[] = [
                'field' => $field->value,
                'registry' => $there,
                'own' => $second,
                'roll' => $this->file instanceof RollCase ? $this->held($this->file, $field) : '',
                'differs' => $this->differing()->contains(fn (Drift $drift): bool => in_array($drift->field, $about, true)),
            ];
        }

        return $rows;
    }

    /** What an answer said that the newest of its source says otherwise. */
    public function before(Observed $then, Observed $newest): string
    {
        if ($then->record === null || $newest->record === null) {
            return $this->words->say($then->found ? 'outside.record.was_there' : 'outside.record.was_not');
        }
        $parts = array_map(
            fn (string $part): string => mb_strtolower($this->words->say("outside.field.{$part}")).
                ': '.
                strtr($this->said($then->record, $part), "\n", ' '),
            $newest->record->differsFrom($then->record),
        );

        return $parts === [] ? $this->words->say('outside.record.same') : implode('; ', $parts);
    }

    /** @return list<string> the domains of whoever runs its name servers */
    public function operators(): array
    {
        $hosts = $this->record->servers ?? ($this->dns->delegation->parent ?? []);

        return array_values(array_unique(array_map(self::operator(...), $hosts)));
    }

    private static function operator(string $host): string
    {
        try {
            return DomainName::of($host)->registrable()->ascii;
        } catch (NameError) {
            return $host;
        }
    }

    private function said(Record $record, string $part): string
    {
        $unsaid = $this->words->say('outside.record.not_said');
        $day = fn (?Instant $at): string => $at === null ? $unsaid : Dates::full($at);

        return match ($part) {
            'registrar' => $record->registrar ?? ($record->tag ?? $unsaid),
            'ends' => $day($record->ends),
            'created' => $day($record->created),
            'statuses' => self::list(
                [...array_map(fn (Status $status): string => $status->value, $record->statuses), ...$record->words],
                ', ',
                $unsaid,
            ),
            'servers' => $record->servers === null ? $unsaid : self::list($record->servers, "\n", $this->words->say('outside.record.none')),
            'signed' => match (true) {
                $record->signed === null => $unsaid,
                ($record->delegates ?? []) !== [] => implode("\n", $record->delegates ?? []),
                default => $this->words->say($record->signed ? 'outside.record.yes' : 'outside.record.no'),
            },
            default => $this->words->say('outside.record.another'),
        };
    }

    private function held(RollCase $file, DriftField $field): string
    {
        $unwritten = $this->words->say('outside.nothing_written');
        $day = fn (?Instant $at): string => $at === null ? $unwritten : Dates::full($at);

        return match ($field) {
            DriftField::Registrar => $file->registrarName(),
            DriftField::Ends => $day($file->facts->ends),
            DriftField::Created => $day($file->facts->created),
            DriftField::Servers => self::list($file->servers, "\n", $unwritten),
            default => $this->words->say('outside.record.held_statuses', [
                'statuses' => self::list(
                    array_map(fn (Status $status): string => $status->value, $file->facts->statuses),
                    ', ',
                    $this->words->say('outside.record.none'),
                ),
                'lock' => $this->words->say('words.lock.'.($file->facts->isLocked() ? 'on' : $file->facts->lock->value)),
            ]),
        };
    }

    /** @param  list<string>  $list */
    private static function list(array $list, string $between, string $otherwise): string
    {
        return $list === [] ? $otherwise : implode($between, $list);
    }
}
