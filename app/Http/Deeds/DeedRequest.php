<?php

declare(strict_types=1);

namespace App\Http\Deeds;

use App\Actions\Names\GatherNames;
use App\Http\SignedIn;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Name;
use Illuminate\Foundation\Http\FormRequest;

/** Which names a deed is about, and which groups of them are left out: the same words in the address and in the form. */
class DeedRequest extends FormRequest
{
    use SignedIn;

    /** Characters of names that stand in an address, commas between. */
    private const NAMES = 4_000;

    /** Words of the address that say which names. */
    private const WHICH = ['of', 'name', 'docket', 'without'];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'of' => ['nullable', 'string', 'max:300'],
            'name' => ['nullable', 'string', 'max:'.self::NAMES],
            'docket' => ['nullable', 'integer', 'min:1', 'max:999999999'],
            'without' => ['nullable', 'array', 'max:50'],
            'without.*' => ['string', 'max:80'],
        ];
    }

    protected function prepareForValidation(): void
    {
        if (! $this->isMethod('get')) {
            return;
        }
        // An address that somebody mangled shows a page and no error.
        foreach (['of', 'name', 'q', 'give', 'take'] as $key) {
            if ($this->has($key)) {
                $this->merge([$key => mb_substr($this->word($key), 0, $key === 'name' ? self::NAMES : 300)]);
            }
        }
        if (preg_match('/^\d{1,9}$/D', $this->word('docket')) !== 1) {
            $this->merge(['docket' => null]);
        }
        $this->merge(['without' => $this->without()]);
    }

    /** @return list<int>|null null: nothing was chosen yet */
    public function names(GatherNames $gather): ?array
    {
        if ($this->filled('name')) {
            $found = array_filter(
                array_map(fn (string $name): ?int => (new Name())->resolveRouteBinding(trim($name))?->id, explode(','
                    .'', $this->word('name'))),
                is_int(...),
            );

            return $found === [] ? null : array_values(array_unique($found));
        }
        if ($this->filled('docket')) {
            return array_values(
                array_map(
                    fn (mixed $id): int => is_int($id) ? $id : 0,
                    DocketLine::query()
                        ->where('docket_id', $this->integer('docket'))
                        ->where('state', LineState::Done)
                        ->orderBy('position')
                        ->toBase()
                        ->pluck('name_id')
                        ->all(),
                ),
            );
        }
        $of = $this->word('of');

        return match (true) {
            $of === '' => null,
            $of === 'sheaf' => $gather->sheaf($this->person())->ids,
            default => $gather->of($this->person(), $of),
        };
    }

    /** @return list<string> keys of findings */
    public function without(): array
    {
        $without = $this->input('without');

        return array_slice(
            array_values(
                array_filter(
                    is_array($without) ? $without : [],
                    fn (mixed $key): bool => is_string($key) && preg_match('/^[a-z_]+\.[a-z_]+$/D', $key) === 1,
                ),
            ),
            0,
            50,
        );
    }

    /** @return array<string, string|list<string>> what says which names, for links and forms */
    public function which(): array
    {
        $which = [];
        foreach (self::WHICH as $key) {
            $value = $key === 'without' ? $this->without() : $this->word($key);
            if ($value !== '' && $value !== []) {
                $which[$key] = $value;
            }
        }

        return $which;
    }
}
