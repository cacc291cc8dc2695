<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Dnssec\Chain;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\KeysSeen;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;

/** What the servers of the suffix and of the name said of its delegation. */
final readonly class DelegationSeen
{
    /**
     * @param  string  $name  A-labels
     * @param  list<string>|null  $parent  servers that the suffix's servers name; empty: they don't know the name; null: they were not
     *     reached
     * @param  int|null  $ttl  seconds that the parent's answer may be kept
     * @param  list<Delegate>|null  $delegates  what the parent says of its keys (DS); null: not known
     * @param  list<ServerSeen>  $servers  one a host and address
     * @param  string|null  $why  why the parent was not reached
     * @param  Chain|null  $chain  whether its records can be proved, as it stood when it was asked; null: not known
     * @param  list<Glue>  $glue  of the servers that lie inside the name
     * @param  KeysSeen|null  $keys  what is known of them; null: nobody could be asked
     * @param  list<ServerSeen>  $unlisted  those that only the name's own servers name
     */
    public function __construct(
        public string $name,
        public ?array $parent,
        public ?int $ttl,
        public ?array $delegates,
        public array $servers,
        public ?string $why = null,
        public array $unlisted = [],
        public ?Chain $chain = null,
        public array $glue = [],
        public ?KeysSeen $keys = null,
    ) {
    }

    /** Whether resolvers that validate want its answers signed; null: not known. */
    public function isSigned(): ?bool
    {
        return $this->delegates === null ? null : $this->delegates !== [];
    }

    /** @return list<string> */
    public function child(): array
    {
        foreach ($this->servers as $server) {
            if ($server->answer === Answer::Authoritative && $server->servers !== []) {
                return $server->servers;
            }
        }

        return [];
    }

    /** Whether each of these hosts answers with authority, at one address at least, and names exactly them. */
    public function isServedBy(ServerSet $set): bool
    {
        $right = [];
        foreach ($this->servers as $server) {
            if ($server->answer === Answer::Authoritative && $set->isExactly($server->servers)) {
                $right[$server->host] = true;
            }
        }

        return $set->servers !== [] && array_diff($set->hosts(), array_map(strval(...), array_keys($right))) === [];
    }

    public function answers(): bool
    {
        foreach ($this->servers as $server) {
            if ($server->answer === Answer::Authoritative) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  Instant  $now  by which signatures are about to lapse
     * @return list<Finding> dearest first
     */
    public function findings(Instant $now): array
    {
        return Judgement::of($this, $now);
    }

    /** The same for the same answers; a serial alone is no change. */
    public function digest(): string
    {
        $servers = array_map(
            fn (ServerSeen $server): array => [
                $server->host,
                $server->address,
                $server->answer->value,
                $server->servers,
                $server->isAlias,
                $server->overTcp,
            ],
            [...$this->servers, ...$this->unlisted],
        );
        sort($servers);
        $delegates = $this->delegates === null ? null : array_map(strval(...), $this->delegates);
        $delegates === null || sort($delegates);

        $keys = $this->keys === null ? null : [$this->keys->keys, $this->keys->wanted, $this->keys->prospect?->state];
        $said = [$this->parent, $delegates, $servers, $this->chain?->state, $this->chain?->fault, $this->glue, $keys];

        return hash('xxh128', json_encode($said, JSON_THROW_ON_ERROR));
    }
}
