<?php

declare(strict_types=1);

namespace Acre\Core\Disclosure;

use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Field;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Rulebook\Publication;
use Acre\Core\Rulebook\Published;

/**
 * What the public record says of a holder: of what is held, by what the registrar was told to show, the suffix's rules,
 * the kind of holder, and a privacy service that stands in for them.
 */
final readonly class PublishedRecord
{
    /** @param  array<string, FieldPublished>  $fields  by field */
    private function __construct(private array $fields)
    {
    }

    /** @param  bool  $hasPrivacy  whether a privacy service's data stands there instead */
    public static function of(Contact $contact, Pattern $told, Published $rules, bool $hasPrivacy): self
    {
        $fields = [];
        foreach (Field::cases() as $field) {
            $rule = $rules->of($field, $contact->kind);
            $state = match (true) {
                $rule === Publication::Redacted => Disclosure::Redacted,
                // A service that stands in is the holder for the rules as well.
                $hasPrivacy => Disclosure::Replaced,
                $rule === Publication::Shown || $told->shows($field) => Disclosure::Shown,
                $rule === Publication::Consent => Disclosure::Redacted,
                default => Disclosure::Withheld,
            };
            $fields[$field->value] = new FieldPublished($state, $contact->field($field), $rule);
        }

        return new self($fields);
    }

    public function field(Field $field): FieldPublished
    {
        return $this->fields[$field->value];
    }

    /** In one word: the state by which most of the holder is not read, or that it is shown. */
    public function inOneWord(): Disclosure
    {
        $states = array_map(fn (FieldPublished $field): Disclosure => $field->state, $this->fields);
        foreach ([Disclosure::Replaced, Disclosure::Withheld] as $state) {
            if (in_array($state, $states, true)) {
                return $state;
            }
        }

        // Name and mailbox are what people mean when they say that a record is hidden.
        return in_array(Disclosure::Redacted, [$states[Field::Name->value], $states[Field::Mailbox->value]], true)
            ? Disclosure::Redacted
            : Disclosure::Shown;
    }

    /** @return list<Field> that are read otherwise */
    public function differs(self $other): array
    {
        return array_values(
            array_filter(
                Field::cases(),
                fn (Field $field): bool => $this->field($field)->state !== $other->field($field)->state ||
                    ($this->field($field)->isRead() && $this->field($field)->value !== $other->field($field)->value),
            ),
        );
    }
}
