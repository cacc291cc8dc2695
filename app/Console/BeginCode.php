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

    protected $description = 'Make and print the code with which an empty house is begun';

    public function handle(Code $code): int
    {
        if (User::query()->doesntExist()) {
            $this->line('Its first page makes the first Owner, and asks for this code: '.$code->make());
        }

        return self::SUCCESS;
    }
}
