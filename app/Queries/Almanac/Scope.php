<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

/** Of what the Almanac is shown, as its address says it: `all`, `account-7`, `client-3`. */
final readonly class Scope
{
    private function __construct(public ScopeKind $kind, public int $id)
    {
    }

    public static function all(): self
    {
        return new self(ScopeKind::All, 0);
    }

    public static function account(int $id): self
    {
        return new self(ScopeKind::Account, $id);
    }

    /** Null: it is no scope. */
    public static function read(string $text): ?self
    {
        if ($text === ScopeKind::All->value) {
            return self::all();
        }
        $kind = preg_match('/^(account|registrar|client)-(\d{1,9})$/D', $text, $part) === 1 ? ScopeKind::from($part[1]) : null;

        return $kind === null ? null : new self($kind, (int) ($part[2] ?? 0));
    }

    public function text(): string
    {
        return $this->kind === ScopeKind::All ? $this->kind->value : "{$this->kind->value}-{$this->id}";
    }
}
