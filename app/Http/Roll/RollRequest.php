<?php

declare(strict_types=1);

namespace App\Http\Roll;

use App\Queries\Roll\Ending;
use App\Queries\Roll\RollFilter;
use App\Queries\Roll\Sort;
use Illuminate\Foundation\Http\FormRequest;

/** An address that says nothing sensible is read as if the word were not there: a link from a mail never fails. */
final class RollRequest extends FormRequest
{
    public function filter(): RollFilter
    {
        return new RollFilter(
            $this->id('client'),
            $this->id('registrar'),
            $this->id('account'),
            mb_substr(trim($this->word('q')), 0, 200),
            Ending::tryFrom($this->word('ending')) ?? Ending::Any,
            Sort::tryFrom($this->word('sort')) ?? Sort::Next,
            $this->word('after') === '' ? null : $this->word('after'),
        );
    }

    private function id(string $key): ?int
    {
        return preg_match('/^\d{1,15}$/D', $this->word($key)) === 1 ? (int) $this->word($key) : null;
    }

    private function word(string $key): string
    {
        $value = $this->query($key);

        return is_string($value) ? mb_scrub(str_replace("\0", '', $value)) : '';
    }
}
