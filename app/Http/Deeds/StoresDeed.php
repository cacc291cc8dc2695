<?php

declare(strict_types=1);

namespace App\Http\Deeds;

use App\Actions\Deeds\DeedError;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\Crypt;

/** The button of a deed's page: what the page had shown, and whether it is only prepared or settled at once. */
trait StoresDeed
{
    /** @return array<string, list<string>> */
    protected function buttonRules(): array
    {
        return [
            'token' => ['required', 'uuid'],
            'shown' => ['required', 'string', 'max:300000'],
            'act' => ['required', 'in:prepare,settle'],
        ];
    }

    /**
     * The names that the page said could go, as the page itself wrote them: nobody can widen the list.
     *
     * @return list<int>
     *
     * @throws DeedError when it is not what a page wrote
     */
    public function shown(): array
    {
        return array_values(array_filter($this->written()['clear'] ?? [], is_int(...)));
    }

    /**
     * What the page said that they cost.
     *
     * @return array<int, string> by name
     *
     * @throws DeedError when it is not what a page wrote
     */
    public function shownCosts(): array
    {
        return array_filter(
            array_filter($this->written()['costs'] ?? [], is_string(...)),
            is_int(...),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /**
     * As a page writes it.
     *
     * @param  list<int>  $clear
     * @param  array<int, string>  $costs
     */
    public static function shows(array $clear, array $costs = []): string
    {
        return Crypt::encryptString(json_encode(['clear' => $clear, 'costs' => $costs], JSON_THROW_ON_ERROR));
    }

    /**
     * @return array<array-key, array<array-key, mixed>>
     *
     * @throws DeedError
     */
    private function written(): array
    {
        try {
            $written = json_decode(Crypt::decryptString($this->string('shown')->toString()), true);
        } catch (DecryptException) {
            throw DeedError::shownHasChanged();
        }

        return array_filter(is_array($written) ? $written : [], is_array(...));
    }
}
