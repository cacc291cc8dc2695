<?php

declare(strict_types=1);

namespace Standin\Registry;

/** A registrar as registries know it. */
final readonly class Registrar
{
    /** @param  string  $number  that it is accredited under; invented */
    private function __construct(
        public string $id,
        public string $name,
        public string $tag,
        public string $number,
        public string $rdap,
        public string $abuse,
    ) {
    }

    /** @return list<self> those of this world */
    public static function all(): array
    {
        return [
            new self('skerry', 'Skerry Registrations', 'SKERRY', '990718', 'rdap.skerry.example', 'abuse@skerry.example'),
            new self('oriel', 'Oriel Names', 'ORIEL', '990731', 'rdap.oriel-names.example', 'abuse@oriel-names.example'),
            // Pellbridge is no registrar itself, and sells for this one.
            new self(
                'anchorage',
                'Anchorage Registrar Services',
                'ANCHORAGE',
                '990207',
                'rdap.anchorage.example',
                'abuse@anchorage.example',
            ),
            new self('lantern', 'Lantern Wholesale', 'LANTERN', '990742', 'rdap.lantern.example', 'abuse@lantern.example'),
            new self('farshore', 'Farshore Domains', 'FARSHORE', '990655', 'rdap.farshore.example', 'abuse@farshore.example'),
        ];
    }

    public static function of(string $id): self
    {
        foreach (self::all() as $registrar) {
            if ($registrar->id === $id) {
                return $registrar;
            }
        }

        // Somebody's own, by its name.
        $label = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($id)), '-');
        $label = $label === '' ? 'r'.hash('xxh32', $id) : $label;

        return new self($id, $id, strtoupper($label), '0', "rdap.{$label}.example", "abuse@{$label}.example");
    }

    /** By its name or tag. */
    public static function called(string $word): self
    {
        foreach (self::all() as $registrar) {
            if (in_array(mb_strtolower($word), array_map(mb_strtolower(...), [$registrar->name, $registrar->tag]), true)) {
                return $registrar;
            }
        }

        return self::of($word);
    }
}
