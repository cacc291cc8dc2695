<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** The framework's, without the cookie that scripts of other frameworks read a token from: ours reads it from the page. */
final class CsrfToken extends ValidateCsrfToken
{
    protected $addHttpCookie = false;
}
