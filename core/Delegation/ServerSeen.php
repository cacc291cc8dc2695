<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

/** One name server, at one address, and how it answered. */
final readonly class ServerSeen
{
    /**
     * @param  string  $host  A-labels
     * @param  string|null  $address  null: it has none
     * @param  int|null  $serial  of the zone as it has it (RFC 1035 §3.3.13)
     * @param  list<string>  $servers  that its zone names
     * @param  bool|null  $overTcp  whether it answers over TCP too, as every name server must (RFC 7766 §5); null: not known
     * @param  bool  $isAlias  whether the host is an alias, which a name server must not be (RFC 2181 §10.3)
     */
    public function __construct(
        public string $host,
        public ?string $address,
        public Answer $answer,
        public ?int $serial = null,
        public array $servers = [],
        public bool $isAlias = false,
        public ?bool $overTcp = null,
    ) {
    }
}
