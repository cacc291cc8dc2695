<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use App\Models\Account;
use App\Models\Secret;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\NotReached;
use Illuminate\Contracts\Cache\Repository;

/** The sessions that this process keeps open, one an account. */
final class Gates
{
    /** Seconds after which a session is asked whether it still stands. */
    private const IDLE = 60;

    /** Seconds that a gate is left alone after it could not be reached; doubled each time. */
    private const FIRST_REST = 5;

    private const LONGEST_REST = 900;

    /** @var array<string, Gate> by account, password and what that was given for */
    private array $open = [];

    public function __construct(
        private readonly Hosts $hosts,
        private readonly Repository $cache,
        private readonly ?string $authority,
        private readonly float $seconds,
    ) {
    }

    /** @throws NotReached */
    public function of(Account $account): Gate
    {
        $session = "{$account->id} {$account->gate_secret_id} {$account->gate_for}";
        $gate = GatePin::holds($account) ? $this->open[$session] ?? null : null;
        if ($gate !== null && $gate->isOpen() && ($gate->idle() < self::IDLE || $gate->keepAlive())) {
            return $gate;
        }
        unset($this->open[$session]);
        [$host, $port] = [...explode(':', $account->registrar->gate ?? ''), ''];
        $key = "outside.gate.{$account->id}";
        $rest = $this->cache->get($key);
        if (is_array($rest) && is_int($rest[0] ?? null) && $rest[0] > time()) {
            throw NotReached::tooOften($host, $rest[0] - time());
        }
        $secret = $account->gate_secret_id === null ? null : Secret::query()->find($account->gate_secret_id);
        if ($secret === null || $host === '') {
            throw NotReached::refused(
                $host === '' ? $account->registrar->name : $host,
                0,
                'No gate, or no password for it, is written down.',
            );
        }
        if (! GatePin::holds($account)) {
            throw NotReached::refused($host, 0, 'Its password was given for another gate, and is not sent before somebody confirms it.');
        }
        try {
            $this->open[$session] = Gate::open(
                $this->hosts,
                $host,
                (int) $port,
                $this->authority,
                $this->seconds,
                $account->number,
                $secret->value,
                $account->registrar->gate_key,
            );
        } catch (NotReached $e) {
            $before = is_array($rest) && is_int($rest[1] ?? null) ? $rest[1] : 0;
            $seconds = min(self::LONGEST_REST, max(self::FIRST_REST, $before * 2));
            $this->cache->put($key, [time() + $seconds, $seconds], self::LONGEST_REST * 2);
            throw $e->ofHost();
        }
        $this->cache->forget($key);

        return $this->open[$session];
    }

    public function __destruct()
    {
        foreach ($this->open as $gate) {
            $gate->end();
        }
    }
}
