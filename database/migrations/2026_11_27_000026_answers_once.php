<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A mailbox whose connection dies gives the same letter again (RFC 1939 §6: removed only at QUIT): an answer is written down once. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('ALTER TABLE objections ADD message_id text UNIQUE CHECK (length(message_id) <= 300)');
    }
};
