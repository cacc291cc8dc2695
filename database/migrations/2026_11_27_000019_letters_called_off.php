<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A letter that is not sent any more was refused by nobody: its mailbox is not to be blamed for it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE letters DROP CONSTRAINT letters_state_check;
            ALTER TABLE letters ADD CONSTRAINT letters_state_check CHECK (state IN ('waiting', 'sending', 'sent', 'refused', 'doubtful',
            'returned', 'kept', 'called_off'));
            SQL
            ,
        );
    }
};
