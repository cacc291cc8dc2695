<?php

declare(strict_types=1);

namespace App\Http\Names;

use Acre\Core\Contact\Mailbox;
use Acre\Core\Delegation\ServerNames;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Time\Instant;
use App\Http\SignedIn;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class AddNameRequest extends FormRequest
{
    use ReadsFacts;
    use SignedIn;

    protected function prepareForValidation(): void
    {
        $this->onlyTexts('created_on');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:300', $this->name(...)],
            'account' => ['required', 'integer', 'exists:accounts,id'],
            'client' => ['required', 'integer', 'exists:clients,id'],
            'created_on' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:1985-01-01', 'before:2101-01-01'],
            'ends_on' => ['nullable', 'date_format:Y-m-d', 'after:created_on', 'after_or_equal:1985-01-01', 'before:2101-01-01'],
            'intent' => ['required', Rule::enum(Intent::class)],
            'registrant' => ['nullable', 'string', 'max:255'],
            'mailbox' => ['nullable', 'string', 'max:320', $this->readable(...)],
            'servers' => ['nullable', 'string', 'max:4000', $this->hosts(...)],
        ];
    }

    public function domain(): DomainName
    {
        return DomainName::of($this->word('name'))->registrable();
    }

    /** @return array<string, mixed> columns of a registration, and `registrant` and `mailbox` */
    public function facts(): array
    {
        $day = fn (string $key): ?Instant => $this->filled($key) ? Instant::of($this->word($key)) : null;

        return [
            'created_on' => $day('created_on'),
            'ends_on' => $day('ends_on'),
            'intent' => Intent::from($this->word('intent')),
            'servers' => ServerNames::read($this->word('servers')),
            'registrant' => $this->word('registrant'),
            'mailbox' => $this->word('mailbox'),
        ];
    }

    private function name(string $field, mixed $value, Closure $fail): void
    {
        try {
            DomainName::of(is_string($value) ? $value : '')->registrable();
        } catch (NameError $e) {
            $fail($e->getMessage());
        }
    }
}
