<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Imports\ReadImport;
use App\Actions\Imports\UndoImport;
use App\Actions\Imports\WriteImport;
use App\Actions\Setbacks\SetAside;
use App\Jobs\WorkImport;
use Illuminate\Console\Command;

/** Reads or writes a list here and now, as its job would. */
final class WorkList extends Command
{
    protected $signature = 'acre:work-list {list : its number}';

    protected $description = 'Read or write a list that is being imported';

    public function handle(ReadImport $read, WriteImport $write, UndoImport $back, SetAside $aside): int
    {
        $list = $this->argument('list');
        (new WorkImport((int) $list))->handle($read, $write, $back, $aside);

        return self::SUCCESS;
    }
}
