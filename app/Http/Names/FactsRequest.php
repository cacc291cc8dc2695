<?php

declare(strict_types=1);

namespace App\Http\Names;

use Acre\Core\Contact\Mailbox;
use Acre\Core\Delegation\ServerNames;
use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use Acre\Core\Time\Instant;
use Acre\Wire\Lists\Amount;
use App\Http\SignedIn;
use App\Models\Guarded;
use App\Models\Name;
use App\Support\Currencies;
use App\Support\HouseSettings;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class FactsRequest extends FormRequest
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
            'created_on' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:1985-01-01', 'before:2101-01-01'],
            'ends_on' => ['nullable', 'date_format:Y-m-d', 'after:created_on', 'before:2101-01-01'],
            'moved_on' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:created_on', 'before:2101-01-01'],
            'intent' => ['required', Rule::enum(Intent::class)],
            'lock' => ['required', Rule::enum(Lock::class)],
            'registrant' => ['nullable', 'string', 'max:255'],
            'mailbox' => ['nullable', 'string', 'max:320', $this->mailbox(...)],
            'disclosure' => ['sometimes', 'required', Rule::enum(Disclosure::class)],
            'servers' => ['nullable', 'string', 'max:4000', $this->hosts(...)],
            'own_renewal' => ['nullable', 'string', 'max:40', $this->amount(...)],
            'because' => ['nullable', 'string', 'max:500'],
            'version' => ['required', 'integer'],
        ];
    }

    /** @return array<string, mixed> columns of a registration, and `registrant` and `mailbox` */
    public function facts(): array
    {
        $facts = array_diff_key($this->values(), ['because' => 1]);
        foreach (['created_on', 'ends_on', 'moved_on'] as $date) {
            $facts[$date] = is_string($facts[$date] ?? null) ? Instant::of($facts[$date]) : null;
        }
        if (array_key_exists('own_renewal', $facts)) {
            $own = Amount::read(is_string($facts['own_renewal']) ? $facts['own_renewal'] : '');
            $currency = $own->currency ?? app(HouseSettings::class)->currency();
            [$facts['own_renewal'], $facts['own_currency']] =
                $own === null ? [null, null] : [Money::of($own->decimal, $currency)->decimal(), $currency];
        }
        if (array_key_exists('servers', $facts)) {
            $facts['servers'] = ServerNames::read(is_string($facts['servers']) ? $facts['servers'] : '');
        }

        return $facts;
    }

    private function mailbox(string $field, mixed $value, Closure $fail): void
    {
        $name = $this->route('name');
        if ($name instanceof Name && Guarded::mailbox($this->person(), $name->registrant?->address, is_string($value) ? $value : null)) {
            $fail(__('forms.guarded'));
        }
        $this->readable($field, $value, $fail);
    }

    private function amount(string $field, mixed $value, Closure $fail): void
    {
        $read = is_string($value) ? Amount::read($value) : null;
        if ($read === null) {
            $fail(__('forms.amount'));

            return;
        }
        if (! Currencies::isKnown($read->currency ?? 'EUR')) {
            $fail(__('forms.currency'));

            return;
        }
        try {
            Money::of($read->decimal, $read->currency ?? app(HouseSettings::class)->currency());
        } catch (MoneyError $e) {
            $fail($e->getMessage());
        }
    }
}
