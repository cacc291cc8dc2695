<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

use Acre\Core\Contact\RoleKind;
use ValueError;

/** The roles that contacts have for names of a suffix. */
final readonly class Roles
{
    /** @param  list<RoleKind>  $kinds */
    private function __construct(public array $kinds)
    {
    }

    /**
     * @param  mixed  $given  as a rule's file has it: a list of roles
     *
     * @throws ValueError saying what was expected
     */
    public static function read(mixed $given): self
    {
        $kinds = [];
        foreach (is_array($given) ? $given : [] as $one) {
            $kinds[] =
                (is_string($one) ? RoleKind::tryFrom($one) : null) ??
                throw new ValueError('a list of registrant, administrative, technical and billing');
        }

        return $kinds === [] ? throw new ValueError('a list of registrant, administrative, technical and billing') : new self($kinds);
    }

    public function has(RoleKind $kind): bool
    {
        return in_array($kind, $this->kinds, true);
    }
}
