<?php

declare(strict_types=1);

namespace Acre\Core\Record;

use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Field;
use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Disclosure\PublishedRecord;

/** In which fields a record that was read is not what it is meant to be, told apart by how. */
final readonly class RecordDifference
{
    /**
     * @param  list<Field>  $other  that say something else than what is held
     * @param  list<Field>  $shown  that are read, and are to be hidden
     * @param  list<Field>  $hidden  that are not read, and are to be shown
     */
    public function __construct(public array $other, public array $shown, public array $hidden)
    {
    }

    /** A privacy service's data is nobody's to compare, unless the holder's own is read. */
    public static function between(PublishedRecord $wanted, Record $read): self
    {
        $other = $shown = $hidden = [];
        foreach (Field::cases() as $field) {
            [$meant, $seen] = [$wanted->field($field), $read->field($field)->value];
            if ($meant->state === Disclosure::Replaced) {
                $shown =
                    $seen !== null && $meant->value !== null && self::same($field, $seen, $meant->value) ? [...$shown, $field] : $shown;
            } elseif ($seen === null) {
                $hidden = $meant->isRead() ? [...$hidden, $field] : $hidden;
            } elseif ($meant->value !== null && ! self::same($field, $seen, $meant->value)) {
                $other[] = $field;
            } elseif ($meant->state !== Disclosure::Shown) {
                $shown[] = $field;
            }
        }

        return new self($other, $shown, $hidden);
    }

    /**
     * All fields that differ: shown what is to be hidden, hidden what is to be shown, or another value.
     *
     * @return list<Field>
     */
    public static function fields(PublishedRecord $wanted, Record $read): array
    {
        return array_values(
            array_filter(Field::cases(), function (Field $field) use ($wanted, $read): bool {
                [$meant, $seen] = [$wanted->field($field), $read->field($field)];
                if ($meant->state === Disclosure::Replaced) {
                    return $seen->value !== null && $seen->value === $meant->value;
                }

                return $meant->isRead()
                    ? $seen->value === null || ! self::same($field, $seen->value, (string) $meant->value)
                    : $seen->value !== null;
            }),
        );
    }

    /** Whether a record that was read is of this contact, by organisation, name and mailbox; null: it shows none of them. */
    public static function names(Contact $contact, Record $read): ?bool
    {
        $shown = array_filter(
            [Field::Organisation, Field::Name, Field::Mailbox],
            fn (Field $field): bool => $read->field($field)->value !== null,
        );
        $isSame = fn (Field $field): bool => self::same($field, (string) $read->field($field)->value, (string) $contact->field($field));

        return $shown === [] ? null : array_filter($shown, fn (Field $field): bool => ! $isSame($field)) === [];
    }

    /** Directories fold street lines and write telephones in ways of their own. */
    private static function same(Field $field, string $read, string $meant): bool
    {
        [$noise, $instead] = $field === Field::Voice ? ['/[^0-9]+/', ''] : ['/[\s,]+/u', ' '];
        $plain = fn (string $text): string => mb_strtolower((string) preg_replace($noise, $instead, trim($text)));

        return $plain($read) === $plain($meant);
    }
}
