<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Whether a name's registry called it `ok` at the last look: then it is not suspended or deleted, whatever the rules expect. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('ALTER TABLE observing ADD is_ok boolean NOT NULL DEFAULT false');
    }
};
