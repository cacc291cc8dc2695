<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use Acre\Core\Balance\PaidFrom;
use Acre\Core\Time\Instant;
use App\Http\KeepsGuarded;
use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\Account;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class AccountRequest extends FormRequest
{
    use KeepsGuarded;
    use SignedIn;

    protected function guarded(): Account
    {
        $account = $this->route('account');

        return $account instanceof Account ? $account : new Account();
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'registrar_id' => ['required', 'integer', 'exists:registrars,id'],
            'number' => [
                'required',
                'string',
                'max:100',
                new NotTaken(Account::class, 'number', 'account', $this->route('account'), [
                    'registrar_id' => $this->integer('registrar_id'),
                ]),
            ],
            'login' => ['nullable', 'string', 'max:200'],
            'mailbox' => ['nullable', 'email', 'max:320'],
            'handle' => ['nullable', 'string', 'max:100'],
            'owner_id' => ['nullable', 'integer', 'exists:clients,id'],
            'access' => ['required', 'in:ours,theirs'],
            'proven_at' => ['nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
            'letters_to' => ['nullable', 'email', 'max:320'],
            'way_back' => ['nullable', 'string', 'max:1000'],
            'hosts_too' => ['boolean'],
            'paid_from' => ['sometimes', 'required', Rule::enum(PaidFrom::class)],
            'card_ends_on' => ['nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
            'remarks' => ['nullable', 'string', 'max:4000'],
            'version' => ['sometimes', 'integer'],
        ];
    }

    /** @return array<string, mixed> columns of an account */
    public function columns(): array
    {
        $columns = $this->values();
        $columns['proven_at'] = is_string($columns['proven_at'] ?? null) ? Instant::of($columns['proven_at']) : null;
        $columns['hosts_too'] = $this->boolean('hosts_too');
        $columns['registrar_id'] = $this->integer('registrar_id');
        $columns['owner_id'] = $this->filled('owner_id') ? $this->integer('owner_id') : null;

        return $columns;
    }
}
