<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\User;
use App\Support\BeginCode as Code;
use Illuminate\Console\Command;

/** Part of `./acre start`: the code with which an empty house is begun, or where it is begun already, nothing. */
final class BeginCode extends Command
{
    protected $signature = 'acre:begin-code';

    protected $description = 'Create and print the code that sets up an empty installation';

    public function handle(Code $code): int
    {
        if (User::query()->doesntExist()) {
            $this->line('Create the first Owner on the first page, with this code: '.$code->make());
        }

        return self::SUCCESS;
    }
}
