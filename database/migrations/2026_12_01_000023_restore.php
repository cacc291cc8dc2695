<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A deleted name can be ordered to be restored (RFC 3915). */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            ALTER TABLE orders DROP CONSTRAINT orders_kind_check, ADD CONSTRAINT orders_kind_check
                CHECK (kind IN ('hand_over', 'cancel_handover', 'lock_on', 'lock_off', 'auto_renew_on', 'auto_renew_off', 'auth_code',
                    'servers', 'keys', 'records', 'disclose', 'registrant', 'transfer', 'cancel_transfer', 'approve_transfer',
                    'refuse_transfer', 'renew', 'restore'));
            SQL);
    }
};
