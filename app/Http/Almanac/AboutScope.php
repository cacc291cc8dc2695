<?php

declare(strict_types=1);

namespace App\Http\Almanac;

use App\Models\Account;
use App\Models\Client;
use App\Models\Registrar;

/** Of whom the Almanac is, in words. */
final readonly class AboutScope
{
    /** @param  string|null  $page  of its own; null: it has none */
    public function __construct(public string $name, public ?string $page)
    {
    }

    public static function account(Account $account): self
    {
        return new self("{$account->registrar->name} {$account->number}", route('accounts.money', $account));
    }

    public static function registrar(Registrar $registrar): self
    {
        return new self($registrar->name, route('registrars.show', $registrar));
    }

    public static function client(Client $client): self
    {
        return new self($client->name, route('clients.show', $client));
    }
}
