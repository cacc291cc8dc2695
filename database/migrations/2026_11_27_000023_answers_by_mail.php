<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Letters that are answered by mail, and from where. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
-- From where a letter to it was answered last, where that was another mailbox: it only forwards.
ALTER TABLE mailboxes ADD forwards_to text CHECK (length(forwards_to) <= 320);
ALTER TABLE objections ADD said_by text NOT NULL DEFAULT 'page' CHECK (said_by IN ('page', 'mail'));
SQL);
    }
};
