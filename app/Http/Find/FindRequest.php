<?php

declare(strict_types=1);

namespace App\Http\Find;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

final class FindRequest extends FormRequest
{
    use SignedIn;
}
