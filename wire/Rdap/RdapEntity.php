<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonNode;

/** RFC 9083 §5.1: somebody in a role, such as `registrant`, `registrar`, `reseller`, `abuse`, `technical`. */
final readonly class RdapEntity
{
    /** Entities inside entities are read so deep: a registrar's contact for abuse stands in the second. */
    private const DEPTH = 3;

    /**
     * @param  list<string>  $roles
     * @param  array<string, string>  $ids  by type, such as `IANA Registrar ID`
     * @param  list<string>  $statuses  such as `validated`, `private`
     * @param  list<self>  $entities
     * @param  list<RdapLink>  $links
     * @param  list<string>  $remarks  what the directory notes of them, a text each
     */
    private function __construct(
        public ?string $handle,
        public array $roles,
        public ?RdapCard $card,
        public array $ids,
        public array $statuses,
        public array $entities,
        public array $links,
        public array $remarks,
    ) {
    }

    /** @return list<self> */
    public static function allOf(JsonNode $node, int $depth = self::DEPTH): array
    {
        return $depth === 0
            ? []
            : $node->each('entities', function (JsonNode $entity) use ($depth): self {
                $ids = [];
                foreach ($entity->nodes('publicIds') as $id) {
                    [$type, $identifier] = [$id->textOrNull('type'), $id->textOrNull('identifier')];
                    if ($type !== null && $identifier !== null) {
                        $ids[$type] = $identifier;
                    }
                }

                return new self(
                    $entity->textOrNull('handle'),
                    array_map(strtolower(...), $entity->texts('roles')),
                    RdapCard::of($entity),
                    $ids,
                    array_map(strtolower(...), $entity->texts('status')),
                    self::allOf($entity, $depth - 1),
                    RdapLink::allOf($entity),
                    RdapNotice::texts($entity, 'remarks'),
                );
            });
    }

    public function is(string $role): bool
    {
        return in_array($role, $this->roles, true);
    }
}
