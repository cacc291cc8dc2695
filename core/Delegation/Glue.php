<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

/** The addresses of a server that lies inside the name it serves (RFC 9471). */
final readonly class Glue
{
    /**
     * @param  list<string>  $parent  at the suffix's servers
     * @param  list<string>|null  $own  in the zone itself; null: not known
     */
    public function __construct(public string $host, public array $parent, public ?array $own)
    {
    }

    public function isWrong(): bool
    {
        $own = self::addresses($this->own ?? []);

        return $own !== [] && array_diff(self::addresses($this->parent), $own) !== [];
    }

    /**
     * @param  list<string>  $of
     * @return list<string> bytes, as an address of version 6 may be written in several ways
     */
    private static function addresses(array $of): array
    {
        $valid = array_filter($of, fn (string $one): bool => filter_var($one, FILTER_VALIDATE_IP) !== false);

        return array_values(array_map(fn (string $one): string => (string) inet_pton($one), $valid));
    }
}
