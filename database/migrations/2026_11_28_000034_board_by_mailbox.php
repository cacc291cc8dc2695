<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The board goes from the names that are due to their mailboxes and back to all names of these: both stand in the flat row. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
DROP INDEX standings_verify, standings_verify_name;
CREATE INDEX standings_verify ON standings (verify_by, name_id) INCLUDE (mailbox) WHERE verify_by < 'infinity';
CREATE INDEX standings_verify_mailbox ON standings (mailbox) WHERE verify_by < 'infinity';
SQL);
    }
};
