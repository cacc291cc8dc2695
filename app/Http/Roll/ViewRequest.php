<?php

declare(strict_types=1);

namespace App\Http\Roll;

use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\SavedView;
use Illuminate\Foundation\Http\FormRequest;

final class ViewRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => [
                'required',
                'string',
                'max:80',
                new NotTaken(SavedView::class, 'name', 'a view of yours', null, ['user_id' => $this->person()->id]),
            ],
            'shared' => ['boolean'],
        ];
    }
}
