<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use App\Models\Account;
use Illuminate\Contracts\Container\Container;

/** The adapter of a registrar's link. The next link is one class, and one line here. */
final readonly class Registrars
{
    /** @var array<string, class-string<Registrar>> by `registrars.link`; a slip has none */
    private const LINKS = ['wire' => WireRegistrar::class, 'bridge' => BridgeRegistrar::class];

    public function __construct(private Container $container)
    {
    }

    /** Null: a person acts at its page, or its gate is another than the one that its password was given for. */
    public function of(Account $account): ?Registrar
    {
        $class = $this->hasLink($account) && GatePin::holds($account) ? self::LINKS[$account->registrar->link] ?? null : null;

        return $class === null ? null : $this->container->make($class);
    }

    /** Whether it is told things, now or once its password is confirmed for the gate that its registrar has now. */
    public function hasLink(Account $account): bool
    {
        return $account->access === 'ours' && $account->gate_secret_id !== null && isset(self::LINKS[$account->registrar->link]);
    }

    public function isSuspended(Account $account): bool
    {
        return $this->hasLink($account) && ! GatePin::holds($account);
    }
}
