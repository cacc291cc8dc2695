<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonError;
use Acre\Wire\Json\JsonNode;

/** What a directory says of a domain name (RFC 9083 §5.3). */
final readonly class RdapDomain
{
    /**
     * @param  string  $name  A-labels in small letters, without a last dot
     * @param  list<string>  $statuses  in RDAP's words (RFC 8056), small letters; none where one of them could not be read
     * @param  list<RdapEvent>  $events
     * @param  list<string>|null  $servers  A-labels in small letters; null: one of them could not be read
     * @param  bool|null  $signed  whether the delegation is signed; null: the directory does not say
     * @param  list<RdapDs>  $ds
     * @param  list<RdapEntity>  $entities
     * @param  list<RdapLink>  $links
     * @param  list<RdapRedaction>  $redactions
     * @param  list<string>  $notices  what it tells whoever asks, a text each
     * @param  list<string>  $extensions  that it says it follows (§4.1)
     * @param  list<string>  $odd  what could not be read and was passed over, a sentence each
     */
    private function __construct(
        public string $name,
        public ?string $handle,
        public array $statuses,
        public array $events,
        public ?array $servers,
        public ?bool $signed,
        public array $ds,
        public array $entities,
        public array $links,
        public array $redactions,
        public array $notices,
        public array $extensions,
        public array $odd,
    ) {
    }

    public static function of(JsonNode $node): self
    {
        $secure = $node->nodeOrNull('secureDNS');

        return new self(
            self::host($node->text('ldhName')),
            $node->textOrNull('handle'),
            array_map(strtolower(...), $node->whole(fn (JsonNode $whole): array => $whole->texts('status')) ?? []),
            RdapEvent::allOf($node),
            $node->whole(fn (JsonNode $whole): array => $whole->each('nameservers', self::server(...))),
            $secure?->boolOrNull('delegationSigned'),
            $secure === null ? [] : RdapDs::allOf($secure),
            RdapEntity::allOf($node),
            RdapLink::allOf($node),
            RdapRedaction::allOf($node),
            [...RdapNotice::texts($node, 'notices'), ...RdapNotice::texts($node, 'remarks')],
            $node->texts('rdapConformance'),
            $node->odd(),
        );
    }

    private static function server(JsonNode $server): string
    {
        $host = self::host($server->text('ldhName'));

        // Underlines are in no host's name by the standard, and in some that answer (RFC 2181 §11).
        return strlen($host) <= 253 &&
            preg_match('/^(?:[a-z0-9_](?:[a-z0-9_-]{0,61}[a-z0-9_])?\.)*[a-z0-9_](?:[a-z0-9_-]{0,61}[a-z0-9_])?$/D', $host) === 1
            ? $host
            : throw JsonError::wrong("{$server->path}.ldhName", 'a host in A-labels', $host);
    }

    /** The last event of that kind. */
    public function event(string $action): ?RdapEvent
    {
        $found = null;
        foreach ($this->events as $event) {
            if ($event->action === $action && ($found === null || $event->at >= $found->at)) {
                $found = $event;
            }
        }

        return $found;
    }

    public function entity(string $role): ?RdapEntity
    {
        foreach ($this->entities as $entity) {
            if ($entity->is($role)) {
                return $entity;
            }
        }

        return null;
    }

    /** Where the registrar's own directory answers for the same name, as the registry links to it; not followed yet. */
    public function registrarsOwn(): ?string
    {
        foreach ($this->links as $link) {
            if ($link->rel === 'related' && $link->type === RdapAnswer::TYPE) {
                return $link->href;
            }
        }

        return null;
    }

    private static function host(string $name): string
    {
        return strtolower(rtrim($name, '.'));
    }
}
