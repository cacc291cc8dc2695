<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use ValueError;

/** What a suffix does with each field of an organisation's record and of a private person's. */
final readonly class Published
{
    /**
     * @param  array<string, Publication>  $organisation  by field
     * @param  array<string, Publication>  $person  by field
     */
    private function __construct(private array $organisation, private array $person)
    {
    }

    /**
     * @param  mixed  $given  as a rule's file has it: `organisation` and `person`, each a list of fields by what is done with them,
     *     `{ shown: [country], consent: [name] }`
     *
     * @throws ValueError saying what lacks
     */
    public static function read(mixed $given): self
    {
        if (! is_array($given) || array_keys($given) !== ['organisation', 'person']) {
            throw new ValueError('organisation and person, in this order');
        }

        return new self(self::kind($given['organisation']), self::kind($given['person']));
    }

    /** A holder of whom nobody has said what they are is treated as the kind of which less is shown. */
    public function of(Field $field, HolderKind $kind): Publication
    {
        $order = [Publication::Redacted, Publication::Consent, Publication::Choice, Publication::Shown];
        [$organisation, $person] = [$this->organisation[$field->value], $this->person[$field->value]];

        return match ($kind) {
            HolderKind::Organisation => $organisation,
            HolderKind::Person => $person,
            HolderKind::Unknown => array_search($organisation, $order, true) < array_search($person, $order, true)
                ? $organisation
                : $person,
        };
    }

    /** @return array<string, Publication> by field */
    private static function kind(mixed $given): array
    {
        $of = [];
        foreach (is_array($given) ? $given : [] as $what => $fields) {
            $publication =
                Publication::tryFrom((string) $what) ??
                throw new ValueError('shown, choice, consent or redacted, each with a list of fields');
            foreach (is_array($fields) ? $fields : [] as $name) {
                $field = is_string($name) ? Field::tryFrom($name) : null;
                if ($field === null || isset($of[$field->value])) {
                    throw new ValueError('every field of the record once');
                }
                $of[$field->value] = $publication;
            }
        }
        if (count($of) !== count(Field::cases())) {
            throw new ValueError('every field of the record once');
        }

        return $of;
    }
}
