<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppWriter;

/** What an update puts to a name, or takes from it: hosts, contacts by role, statuses (RFC 5731 §3.2.5). */
final readonly class DomainChange
{
    /**
     * @param  list<string>  $servers
     * @param  list<string>  $statuses  client statuses of RFC 5731 §2.3
     * @param  array<'admin'|'billing'|'tech', string>  $contacts  handles
     */
    public function __construct(private array $servers = [], private array $statuses = [], private array $contacts = [])
    {
    }

    public function isEmpty(): bool
    {
        return $this->servers === [] && $this->statuses === [] && $this->contacts === [];
    }

    /** @param  'add'|'rem'  $which */
    public function write(EppWriter $to, string $which): void
    {
        if ($this->isEmpty()) {
            return;
        }
        $to->begin("domain:{$which}");
        if ($this->servers !== []) {
            $to->begin('domain:ns')->texts('domain:hostObj', $this->servers)->end();
        }
        foreach ($this->contacts as $role => $handle) {
            $to->text('domain:contact', $handle, ['type' => $role]);
        }
        foreach ($this->statuses as $status) {
            $to->sign('domain:status', ['s' => $status]);
        }
        $to->end();
    }
}
