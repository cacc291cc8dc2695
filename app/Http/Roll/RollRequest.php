<?php

declare(strict_types=1);

namespace App\Http\Roll;

use App\Http\SignedIn;
use App\Queries\Roll\RollFilter;
use Illuminate\Foundation\Http\FormRequest;

/** A sentence of the Roll, in the address or in a form's fields. */
final class RollRequest extends FormRequest
{
    use SignedIn;

    public function filter(): RollFilter
    {
        return RollFilter::read($this->all());
    }
}
