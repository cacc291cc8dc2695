<?php

declare(strict_types=1);

namespace App\Queries\Contacts;

use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Field;
use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\PublishedRecord;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Record\Record;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Queries\Names\HeldCase;
use App\Queries\Outside\LastSeen;
use App\Queries\Outside\Observed;

/** What the world reads of names' holders today, and what it will read once a pattern is followed. */
final readonly class RecordsCompared
{
    /** Names whose last record is read; of more, the first so many stand for all. */
    private const LOOKED_AT = 300;

    /** Names told of those that are otherwise than most. */
    private const APART = 3;

    public function __construct(private Holders $holders, private LastSeen $seen, private Rulebook $book)
    {
    }

    /**
     * @param  list<HeldCase>  $files
     * @param  callable(HeldCase): Pattern  $told  what each name's registrar will be told
     * @return array{list<FieldCompared>, Instant|null} field by field, and when the oldest of what is read today was seen; null: nobody has
     *     looked
     */
    public function of(array $files, callable $told, Instant $now): array
    {
        $holders = $this->holders->of($files);
        $read = $this->seen->holders(array_map(fn (HeldCase $file): int => $file->nameId, array_slice($files, 0, self::LOOKED_AT)));
        $all = [];
        foreach ($files as $file) {
            $holder = $file->guard === null ? null : $holders[$file->guard->contact] ?? null;
            if ($holder === null) {
                continue;
            }
            $rules = $this->book->for($file->facts->name->suffix(), $now)->published->value;
            $privacy = in_array(ExtraKind::Privacy, $file->extras, true);
            $all[] = [
                $file,
                $holder,
                $file->told === null ? null : PublishedRecord::of($holder, $file->told, $rules, $privacy),
                PublishedRecord::of($holder, $told($file), $rules, $privacy),
                $read[$file->nameId]->record ?? null,
            ];
        }

        $seen = array_map(fn (Observed $one): Instant => $one->last, array_values($read));

        return [
            array_map(fn (Field $field): FieldCompared => self::compare($field, $all), Field::cases()),
            $seen === [] ? null : Instant::earliest(...$seen),
        ];
    }

    /** @param  list<array{HeldCase, Contact, PublishedRecord|null, PublishedRecord, Record|null}>  $all */
    private static function compare(Field $field, array $all): FieldCompared
    {
        $held = $today = $after = $apart = $redactedBy = [];
        $changes = 0;
        foreach ($all as [$file, $holder, $before, $then, $read]) {
            $value = $holder->field($field);
            if ($value !== null && count($held) < 2) {
                $held[$value] = true;
            }
            $state = $value === null && $then->field($field)->state === Disclosure::Shown ? 'absent' : $then->field($field)->state->value;
            $after[$state] = ($after[$state] ?? 0) + 1;
            $apart[$state][] = $file->facts->name->unicode;
            if ($state === Disclosure::Redacted->value) {
                $redactedBy[$file->facts->name->suffix()] = true;
            }
            $seen = self::seen($field, $read, $value);
            $today[$seen] = ($today[$seen] ?? 0) + 1;
            $changes +=
                (int) ($before === null
                    ? ! in_array($seen, ['unseen'], true) && ($seen === 'shown') !== $then->field($field)->isRead()
                    : $before->field($field)->state !== $then->field($field)->state);
        }
        arsort($after);
        arsort($today);
        unset($apart[array_key_first($after) ?? '']);

        return new FieldCompared(
            $field,
            array_map(strval(...), array_keys($held)),
            $today,
            $after,
            array_map(fn (array $names): array => array_slice($names, 0, self::APART), $apart),
            $changes,
            array_map(strval(...), array_keys($redactedBy)),
        );
    }

    private static function seen(Field $field, ?Record $read, ?string $held): string
    {
        $one = $read?->field($field);

        return match (true) {
            $one === null => 'unseen',
            $one->value !== null => 'shown',
            $one->isRedacted => 'redacted',
            default => $held === null ? 'absent' : 'redacted',
        };
    }
}
