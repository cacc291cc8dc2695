<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A mailbox that must be verified is met once, at the name that goes dark first, however many hang on it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            DROP INDEX standings_verify_mailbox;
            CREATE INDEX standings_verify_mailbox ON standings (mailbox, verify_by, name_id) WHERE verify_by < 'infinity';

            -- Each mailbox that must be verified, and by when.
            CREATE VIEW verifying AS
            SELECT s.mailbox, s.verify_by AS by FROM standings s
            WHERE s.verify_by < 'infinity' AND s.mailbox <> '' AND NOT EXISTS (
                SELECT 1 FROM standings e WHERE e.mailbox = s.mailbox AND e.verify_by < 'infinity'
                AND (e.verify_by, e.name_id) < (s.verify_by, s.name_id));
            SQL
            ,
        );
    }
};
