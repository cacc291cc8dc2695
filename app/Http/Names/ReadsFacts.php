<?php

declare(strict_types=1);

namespace App\Http\Names;

use Acre\Core\Contact\ContactError;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Delegation\ServerNames;
use Acre\Core\Name\NameError;
use Closure;

/** What forms of a name ask of facts that are typed in words. */
trait ReadsFacts
{
    private function readable(string $field, mixed $value, Closure $fail): void
    {
        try {
            Mailbox::of(is_string($value) ? $value : '');
        } catch (ContactError $e) {
            $fail($e->getMessage());
        }
    }

    private function hosts(string $field, mixed $value, Closure $fail): void
    {
        try {
            ServerNames::read(is_string($value) ? $value : '');
        } catch (NameError $e) {
            $fail($e->getMessage());
        }
    }
}
