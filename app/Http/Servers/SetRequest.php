<?php

declare(strict_types=1);

namespace App\Http\Servers;

use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\NamedSet;
use App\Models\ServersKept;
use App\Models\SetKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A set of name servers as a form says it: a host a line, its addresses behind it. */
final class SetRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80', new NotTaken(NamedSet::class, 'name', 'set', $this->route('set'))],
            'kind' => ['required', Rule::enum(SetKind::class)],
            'registrar_id' => ['nullable', 'required_if:kind,registrar', 'integer', Rule::exists('registrars', 'id')],
            'operator' => ['nullable', 'string', 'max:120'],
            'servers' => ['required', 'string', 'max:4000', new ServersTyped()],
            'gives_zones' => ['nullable', 'boolean'],
            'version' => ['sometimes', 'integer'],
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $kind = SetKind::from($this->word('kind'));

        return [
            'name' => trim($this->word('name')),
            'kind' => $kind,
            'registrar_id' => $kind === SetKind::Registrar ? $this->integer('registrar_id') : null,
            'operator' => $kind === SetKind::Host ? trim($this->word('operator')) : '',
            'gives_zones' => $this->boolean('gives_zones'),
            'servers' => ServersKept::of(ServersTyped::read($this->word('servers'))),
        ];
    }
}
