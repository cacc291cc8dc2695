<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use App\Actions\Deeds\Authority;
use App\Models\Account;

/** Where names are to go, and what is to be set there: the terms of a transfer as its docket keeps them. */
final readonly class TransferTerms
{
    /** @param  bool  $renews  whether auto-renew is to be on afterwards */
    public function __construct(public int $accountId, public bool $renews, public Authority $authority = Authority::Contract)
    {
    }

    /** @param  array<array-key, mixed>  $said */
    public static function chosen(array $said): ?self
    {
        $id = $said['account'] ?? null;
        $isThere = is_numeric($id) && Account::query()->whereKey((int) $id)->where('access', 'ours')->exists();

        return $isThere ? new self((int) $id, ($said['renews'] ?? '1') !== '0', self::authority($said)) : null;
    }

    /** @return array<string, int|bool|string> */
    public function pack(): array
    {
        return ['account' => $this->accountId, 'renews' => $this->renews, 'authority' => $this->authority->value];
    }

    /** @param  array<string, mixed>  $terms */
    public static function unpack(array $terms): self
    {
        return new self(
            is_int($terms['account'] ?? null) ? $terms['account'] : 0,
            ($terms['renews'] ?? null) === true,
            self::authority($terms),
        );
    }

    /** @param  array<array-key, mixed>  $from */
    private static function authority(array $from): Authority
    {
        $said = $from['authority'] ?? null;

        return is_string($said) ? Authority::tryFrom($said) ?? Authority::Contract : Authority::Contract;
    }
}
