<?php

declare(strict_types=1);

namespace App\Console;

use App\Support\Row;
use App\Support\TradeClock;
use Database\Seeders\Demo\House;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/** `./acre demo`: the demo as it was on its first day. Only a house that began as a demo is ever emptied. */
final class Demo extends Command
{
    protected $signature = 'acre:demo {--first : the house is empty, fill it} {--sign-ins : only say who signs in} {--names= : and so '
        .'many generated names beside its own}';

    protected $description = 'Reset the demo to its first day';

    public function handle(TradeClock $clock): int
    {
        if ($this->option('sign-ins') !== true) {
            if ($this->option('first') !== true && ! $this->isDemo()) {
                $this->error('This is not a demo: nothing was changed.');

                return self::FAILURE;
            }
            $this->clear();
            $clock->forget();
            $this->laravel->make(DemoSeeder::class)->run();
            DB::table('settings')->upsert([['key' => 'demo', 'value' => 'true']], ['key'], ['value']);
            if ($this->option('names') !== null) {
                $this->call('acre:generate', ['names' => $this->option('names')]);
            }
        }
        $this->line('Sign in with the password “'.House::PASSWORD.'”:');
        foreach (House::people() as [$name, $mailbox, $role]) {
            $this->line(sprintf('  %-28s %s (%s)', $mailbox, $name, $role));
        }

        return self::SUCCESS;
    }

    private function isDemo(): bool
    {
        return DB::table('settings')->where('key', 'demo')->exists();
    }

    /** As the owner: the application's own role may neither truncate nor touch the log. */
    private function clear(): void
    {
        $tables = DB::connection('owner')->select(
            "SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tablename <> 'migrations' AND tablename NOT LIKE 'log\\_%'",
        );
        $names = array_map(fn (Row $table): string => '"'.$table->text('tablename').'"', Row::all($tables));
        DB::connection('owner')->statement('TRUNCATE '.implode(', ', $names).' RESTART IDENTITY CASCADE');
        File::delete(config()->string('house.heads').'/'.DB::connection()->getDatabaseName().'.txt');
        Storage::deleteDirectory('imports');
        Storage::deleteDirectory('notes');
        Storage::deleteDirectory('received');
    }
}
