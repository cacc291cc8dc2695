<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Role;
use App\Models\User;
use Illuminate\Console\Command;

final class Demo extends Command
{
    protected $signature = 'acre:demo {--first} {--sign-ins}';

    protected $description = 'Put the demo back as it was on its first day';

    public function handle(): int
    {
        if ($this->option('sign-ins') !== true && User::query()->doesntExist()) {
            User::enrol('Odile Harrow', 'odile@harrow-tern.example', 'a tern over the sound', Role::Owner);
        }
        $this->line('odile@harrow-tern.example  a tern over the sound');

        return self::SUCCESS;
    }
}
