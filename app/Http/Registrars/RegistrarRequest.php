<?php

declare(strict_types=1);

namespace App\Http\Registrars;

use Acre\Core\Balance\ChargeOrder;
use Acre\Core\Contact\Field;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Movement\Confirms;
use Acre\Core\Movement\ExtraFate;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Movement\ReceiverBy;
use App\Http\KeepsGuarded;
use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\Registrar;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class RegistrarRequest extends FormRequest
{
    private const TICKS = [
        'names_giver',
        'lock_first',
        'unlock_account_first',
        'hold_declinable',
        'own_servers_only',
        'transfers_by_letter',
    ];

    use KeepsGuarded;
    use SignedIn;

    protected function guarded(): Registrar
    {
        $registrar = $this->route('registrar');

        return $registrar instanceof Registrar ? $registrar : new Registrar();
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $days = ['nullable', 'integer', 'between:0,90'];

        return [
            'name' => ['required', 'string', 'max:200', new NotTaken(Registrar::class, 'name', 'registrar', $this->route('registrar'))],
            'receiver_by' => ['required', Rule::enum(ReceiverBy::class)],
            'confirms' => ['required', Rule::enum(Confirms::class)],
            'accepts_by' => ['sometimes', 'required', Rule::in(['page', 'letter'])],
            'names_giver' => ['boolean'],
            'lock_first' => ['boolean'],
            'unlock_account_first' => ['boolean'],
            'hold_declinable' => ['boolean'],
            'takes_keys' => ['nullable', Rule::in(['0', '1'])],
            'own_servers_only' => ['boolean'],
            'transfers_by_letter' => ['boolean'],
            'accept_days' => ['required', 'integer', 'between:1,90'],
            'lot_size' => ['required', 'integer', 'between:1,10000'],
            'handover_hold_days' => ['required', 'integer', 'between:0,365'],
            'charge_lead_days' => ['required', 'integer', 'between:0,'.LateTerms::MOST_LEAD],
            'charge_order' => ['sometimes', 'required', Rule::enum(ChargeOrder::class)],
            'charge_retries' => ['nullable', 'string', 'regex:/^\s*\d{1,2}(\s*,\s*\d{1,2}){0,9}\s*$/D'],
            'dark_after_days' => $days,
            'plain_after_days' => $days,
            'late_until_days' => [...$days, 'gte:plain_after_days'],
            'link' => ['sometimes', 'required', Rule::in(['slip', 'wire', 'bridge'])],
            'gate' => ['nullable', 'required_if:link,wire,bridge', 'string', 'max:300', 'regex:/^[a-z0-9.-]+:\d{1,5}$/D'],
            'gate_key' => ['nullable', 'string', 'regex:/^[A-Za-z0-9+\/]{43}=$/D'],
            'gate_a_minute' => ['nullable', 'integer', 'between:1,60000'],
            'page' => ['nullable', 'string', 'max:300', 'url:https'],
            'telephone' => ['nullable', 'string', 'max:60', 'regex:/^[0-9+()\/. x-]+$/D'],
            'behind' => ['nullable', 'string', 'max:1000'],
            'agreements' => ['nullable', 'string', 'max:4000', $this->agreements(...)],
            'verifies_by' => ['sometimes', 'required', Rule::in(['registrar', 'house'])],
            'verification_sender' => ['nullable', 'string', 'max:300'],
            'disclosure_steps' => ['nullable', 'string', 'max:2000', $this->steps(...)],
            'extras' => ['array:'.implode(',', array_column(ExtraKind::cases(), 'value'))],
            'extras.*' => ['nullable', Rule::enum(ExtraFate::class)],
            'remarks' => ['nullable', 'string', 'max:4000'],
            'version' => ['sometimes', 'integer'],
        ];
    }

    /** @return array<string, mixed> columns of a registrar */
    public function columns(): array
    {
        $columns = $this->values();
        foreach (self::TICKS as $tick) {
            $columns[$tick] = $this->boolean($tick);
        }
        foreach (
            [
                'accept_days',
                'lot_size',
                'handover_hold_days',
                'charge_lead_days',
                'dark_after_days',
                'plain_after_days',
                'late_until_days',
                'gate_a_minute',
            ] as $number
        ) {
            $columns[$number] = is_numeric($columns[$number] ?? null) ? (int) $columns[$number] : null;
        }
        $columns['charge_retries'] = array_values(
            array_map(intval(...), array_filter(explode(',', $this->word('charge_retries')), fn (string $day): bool => trim($day) !== '')),
        );
        $behind = is_string($columns['behind'] ?? null)
            ? preg_split('/\s*[,;\n]\s*/u', trim($columns['behind']), -1, PREG_SPLIT_NO_EMPTY)
            : [];
        $columns['behind'] = $behind === false ? [] : array_values(array_unique($behind));
        $columns['takes_keys'] = match ($columns['takes_keys'] ?? null) {
            '1' => true,
            '0' => false,
            default => null,
        };
        $columns['agreements'] = array_values(array_filter(self::readAgreements($this->word('agreements'))));
        $columns['disclosure_steps'] = self::readSteps($this->word('disclosure_steps'));
        $extras = $columns['extras'] ?? [];
        $columns['extras'] = (object) array_filter(
            is_array($extras) ? $extras : [],
            fn (mixed $fate): bool => $fate !== null && $fate !== '',
        );

        return $columns;
    }

    private function agreements(string $field, mixed $value, Closure $fail): void
    {
        foreach (self::readAgreements(is_string($value) ? $value : '') as $line => $agreement) {
            if ($agreement === null) {
                $fail(__('forms.agreements', ['line' => (string) ($line + 1)]));
            }
        }
    }

    /** @return list<array{name: string, address: string}|null> a line each, its name and then its address; null: it isn't that */
    private static function readAgreements(string $text): array
    {
        $agreements = [];
        $lines = preg_split('/\s*\R\s*/u', trim($text), -1, PREG_SPLIT_NO_EMPTY);
        foreach ($lines === false ? [] : $lines as $line) {
            $is = preg_match('~\A(?<name>\S.{0,198}?)\s+(?<address>https://[^\s/]\S{0,290})\z~u', $line, $part) === 1
                && filter_var($part['address'], FILTER_VALIDATE_URL) !== false;
            $agreements[] = $is ? ['name' => $part['name'], 'address' => $part['address']] : null;
        }

        return $agreements;
    }

    private function steps(string $field, mixed $value, Closure $fail): void
    {
        foreach (self::readSteps(is_string($value) ? $value : '') ?? [] as $step) {
            $unknown = array_diff($step, array_column(Field::cases(), 'value'));
            if ($unknown !== []) {
                $fail(__('forms.steps', ['what' => implode(', ', $unknown)]));
            }
        }
    }

    /** @return list<list<string>>|null */
    private static function readSteps(string $text): ?array
    {
        $steps = [];
        foreach (explode("\n", str_replace("\r", '', trim($text))) as $line) {
            $fields = preg_split('/\s*[,;]\s*/u', mb_strtolower(trim($line)), -1, PREG_SPLIT_NO_EMPTY);
            if ($fields !== false && $fields !== []) {
                $steps[] = $fields === ['nothing'] ? [] : $fields;
            }
        }

        return $steps === [] ? null : $steps;
    }
}
