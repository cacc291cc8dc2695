<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A password is sent to the gate that it was given for, and to no other. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
-- SHA-256 of the public key that the gate shows, in base64 (as RFC 7858 §A writes a pin).
ALTER TABLE registrars ADD gate_key text CHECK (gate_key ~ '^[A-Za-z0-9+/]{43}=$');
-- Link, gate and key when the password was given; where the registrar's are others, it is not used.
ALTER TABLE accounts ADD gate_for text CHECK (length(gate_for) <= 500);
UPDATE accounts a SET gate_for = r.link || ' ' || r.gate FROM registrars r WHERE r.id = a.registrar_id AND a.gate_secret_id IS NOT NULL;
SQL);
    }
};
