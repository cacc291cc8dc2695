<?php

declare(strict_types=1);

namespace App\Http\Almanac;

use App\Models\Account;
use App\Models\Client;
use App\Models\Registrar;
use App\Queries\Almanac\Scope;
use App\Queries\Almanac\ScopeKind;

/** Of whom the Almanac is, in words. */
final readonly class AboutScope
{
    /** @param  string|null  $page  of its own; null: it has none */
    public function __construct(public string $name, public ?string $page)
    {
    }

    public static function of(Scope $scope): self
    {
        return match ($scope->kind) {
            ScopeKind::All => self::all(),
            ScopeKind::Account => self::account(Account::query()->with('registrar')->findOrFail($scope->id)),
            ScopeKind::Registrar => self::registrar(Registrar::query()->findOrFail($scope->id)),
            ScopeKind::Client => self::client(Client::query()->findOrFail($scope->id)),
        };
    }

    private static function all(): self
    {
        $said = __('almanac.everything');

        return new self(is_string($said) ? $said : '', null);
    }

    private static function account(Account $account): self
    {
        return new self("{$account->registrar->name} {$account->number}", route('accounts.money', $account));
    }

    private static function registrar(Registrar $registrar): self
    {
        return new self($registrar->name, route('registrars.show', $registrar));
    }

    private static function client(Client $client): self
    {
        return new self($client->name, route('clients.show', $client));
    }
}
