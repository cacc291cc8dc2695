<?php

declare(strict_types=1);

namespace App\Http\Hosting;

use Acre\Core\Hosting\PlaceKind;
use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\NamedPlace;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A place as a form says it. */
final class PlaceRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80', new NotTaken(NamedPlace::class, 'name', 'place', $this->route('place'))],
            'kind' => ['required', Rule::enum(PlaceKind::class)],
            'operator' => ['nullable', 'string', 'max:120'],
            'plan' => ['nullable', 'string', 'max:120'],
            'server_set_id' => ['nullable', 'integer', Rule::exists('server_sets', 'id')],
            'addresses' => ['nullable', 'string', 'max:2000', new AddressesTyped()],
            'version' => ['sometimes', 'integer'],
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'name' => trim($this->word('name')),
            'kind' => PlaceKind::from($this->word('kind')),
            'operator' => trim($this->word('operator')),
            'plan' => trim($this->word('plan')),
            'server_set_id' => $this->filled('server_set_id') ? $this->integer('server_set_id') : null,
            'addresses' => AddressesTyped::read($this->word('addresses')),
        ];
    }
}
