<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Finding\Finding;

/** What the servers of the suffix and of the name said of its delegation. */
final readonly class DelegationSeen
{
    /**
     * @param  string  $name  A-labels
     * @param  list<string>|null  $parent  servers that the suffix's servers name; empty: they don't know the name; null: they were not
     *     reached
     * @param  int|null  $ttl  seconds that the parent's answer may be kept
     * @param  bool|null  $signed  whether the parent has a DS for it; null: not known
     * @param  list<ServerSeen>  $servers  one a host and address
     * @param  string|null  $why  why the parent was not reached
     */
    public function __construct(
        public string $name,
        public ?array $parent,
        public ?int $ttl,
        public ?bool $signed,
        public array $servers,
        public ?string $why = null,
    ) {
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

    public function answers(): bool
    {
        foreach ($this->servers as $server) {
            if ($server->answer === Answer::Authoritative) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Finding> dearest first */
    public function findings(): array
    {
        return Judgement::of($this);
    }

    /** The same for the same answers; a serial alone is no change. */
    public function digest(): string
    {
        $servers = array_map(
            fn (ServerSeen $server): array => [$server->host, $server->address, $server->answer->value, $server->servers, $server->isAlias],
            $this->servers,
        );
        sort($servers);

        return hash('xxh128', json_encode([$this->parent, $this->signed, $servers], JSON_THROW_ON_ERROR));
    }
}
