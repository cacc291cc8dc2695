<?php

declare(strict_types=1);

namespace App\Support;

use App\Http\OldInput;
use DomainException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Somebody else saved first. The form comes back with what was typed, and a link to what stands now. */
final class ChangedMeanwhile extends DomainException
{
    public static function row(): self
    {
        $said = __('forms.changed_meanwhile');

        return new self(is_string($said) ? $said : 'changed meanwhile');
    }

    public function render(Request $request): RedirectResponse
    {
        return back()->withInput(OldInput::of($request))->withErrors(['version' => $this->getMessage()]);
    }
}
