<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Accounts that were unlocked for a handover are locked again by somebody's word; what is open of that is few. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared("CREATE INDEX legs_accounts_locked ON legs (movement_id) WHERE kind = 'lock_account' AND done_on IS NULL");
    }
};
