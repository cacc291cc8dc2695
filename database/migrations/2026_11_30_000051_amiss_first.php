<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is wrong already comes before what is only to come; and of a deletion that was seen its day is kept. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE drifts ADD since timestamptz, DROP CONSTRAINT drifts_certainty_check,
                ADD CONSTRAINT drifts_certainty_check CHECK (certainty IN ('sure', 'split', 'stale', 'once', 'one_side'));
            ALTER TABLE standings ADD later boolean NOT NULL DEFAULT true;
            DROP INDEX standings_next, standings_client_next, standings_registrar_next, standings_account_next, standings_phase_next,
            standings_suffix_next,
                standings_intent_next, standings_lock_next, standings_disclosure_next, standings_ends, standings_kind_next;
            CREATE INDEX standings_kind_next ON standings (next_kind, next_at) INCLUDE (client_id, account_id, name_id, sum, currency,
            later);
            CREATE INDEX standings_next ON standings (later, next_at, name_id);
            CREATE INDEX standings_client_next ON standings (client_id, later, next_at, name_id);
            CREATE INDEX standings_registrar_next ON standings (registrar_id, later, next_at, name_id);
            CREATE INDEX standings_account_next ON standings (account_id, later, next_at, name_id);
            CREATE INDEX standings_phase_next ON standings (phase, later, next_at, name_id);
            CREATE INDEX standings_suffix_next ON standings (suffix, later, next_at, name_id);
            CREATE INDEX standings_intent_next ON standings (intent, later, next_at, name_id);
            CREATE INDEX standings_lock_next ON standings (lock, later, next_at, name_id);
            CREATE INDEX standings_disclosure_next ON standings (disclosure, later, next_at, name_id);
            CREATE INDEX standings_ends ON standings (ends_on, name_id) INCLUDE (later, next_at);
            INSERT INTO standings_stale (name_id) SELECT name_id FROM standings;
        ");
    }
};
