<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Contact\Contact;

/** In what a version of a contact differs from the one before, in words. */
final readonly class ContactChanges
{
    public function __construct(private Words $words)
    {
    }

    public function say(Contact $before, Contact $after): string
    {
        $was = $new = [];
        foreach ($after->differs($before) as $field) {
            $said = $this->words->say('contacts.field.'.$field->value);
            $value = $before->field($field);
            $value === null
                ? ($new[] = $said)
                : ($was[] = $this->words->say('contacts.changes.was', ['field' => $said, 'value' => $value]));
        }

        return ucfirst(
            implode(
                '; ',
                array_filter(
                    [
                        implode(', ', $was),
                        $new === [] ? '' : $this->words->say('contacts.changes.added', ['fields' => implode(', ', $new)]),
                    ],
                    fn (string $part): bool => $part !== '',
                ),
            ),
        );
    }
}
