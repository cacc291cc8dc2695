<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/** Nothing that is not text in UTF-8 gets past here: the database takes neither broken characters nor NULs. */
final class CleanStrings extends TransformsRequest
{
    /**
     * @param  string  $key
     * @param  mixed  $value
     */
    protected function transform($key, $value): mixed
    {
        return is_string($value) ? str_replace("\0", '', mb_scrub($value)) : $value;
    }
}
