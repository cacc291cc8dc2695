<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\RoleKind;
use Acre\Core\Rulebook\EndPhase;
use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Rulebook\Publication;
use Acre\Core\Rulebook\Published;
use Acre\Core\Rulebook\RegistrantConfirms;
use Acre\Core\Rulebook\Roles;

/** The value of a rule, as the rulebook's page says it. */
final readonly class RuleInWords
{
    public function __construct(private Words $words)
    {
    }

    /** @param  int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase>  $value */
    public function say(int|bool|MovesBy|RegistrantConfirms|Roles|Published|array $value): string
    {
        return match (true) {
            is_array($value) => $value === []
                ? 'nothing known'
                : implode(
                    ', ',
                    array_map(
                        fn (EndPhase $phase): string => $this->words->say('words.phase_short.'.$phase->phase->value).
                            " {$phase->days} days",
                        $value,
                    ),
                ),
            is_bool($value) => $value ? 'yes' : 'no',
            is_int($value) => (string) $value,
            $value instanceof MovesBy => $this->words->say('rulebook.moves_by.'.$value->value),
            $value instanceof RegistrantConfirms => $this->words->say('rulebook.registrant_confirms.'.$value->value),
            $value instanceof Roles => implode(
                ', ',
                array_map(fn (RoleKind $role): string => $this->words->say('contacts.role.'.$role->value), $value->kinds),
            ),
            $value instanceof Published => $this->published($value),
        };
    }

    private function published(Published $published): string
    {
        [$organisation, $person] = [$this->of($published, HolderKind::Organisation), $this->of($published, HolderKind::Person)];

        return $organisation === $person ? ucfirst($organisation) : "Organisations: {$organisation}. Private persons: {$person}";
    }

    private function of(Published $published, HolderKind $kind): string
    {
        $said = [];
        foreach (Publication::cases() as $publication) {
            $fields = array_filter(Field::cases(), fn (Field $field): bool => $published->of($field, $kind) === $publication);
            if ($fields !== []) {
                $said[] =
                    $this->words->say('rulebook.publication.'.$publication->value).
                    ': '.
                    (count($fields) === count(Field::cases())
                        ? 'everything'
                        : implode(
                            ', ',
                            array_map(fn (Field $field): string => $this->words->say('contacts.field.'.$field->value), $fields),
                        ));
            }
        }

        return implode('; ', $said);
    }
}
