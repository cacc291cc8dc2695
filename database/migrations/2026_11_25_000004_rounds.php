<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What people said of a thing in Rounds, and the letters of it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
-- From when a name may go to another registrar, where something holds it; infinity: nothing does.
ALTER TABLE standings ADD held_until timestamptz NOT NULL DEFAULT 'infinity';
-- What falls due is counted from these alone, without the rows.
CREATE INDEX standings_held ON standings (held_until) INCLUDE (client_id, name_id) WHERE held_until < 'infinity';
CREATE INDEX standings_kind_next ON standings (next_kind, next_at) INCLUDE (client_id, account_id, name_id, sum, currency);
CREATE INDEX standings_on_hold ON standings (client_id) INCLUDE (name_id) WHERE marks @> ARRAY['finding:lifecycle.on_hold'];
CREATE INDEX standings_not_in_list ON standings (account_id) INCLUDE (name_id) WHERE marks @> ARRAY['finding:lifecycle.not_in_list'];
UPDATE standing_ages SET stands_until = '-infinity', digest = '';

-- A thing of Rounds is computed afresh each time; what stands here is only what somebody said of it.
CREATE TABLE rounds_marks (
    thing text PRIMARY KEY CHECK (length(thing) <= 200),
    done_on timestamptz,
    off_until timestamptz,
    given_to bigint REFERENCES users ON DELETE SET NULL,
    by_id bigint NOT NULL REFERENCES users,
    created_at timestamptz, updated_at timestamptz
);

-- The shipped stand-in for mail: every letter can be read here.
CREATE TABLE letters (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
    mailbox text NOT NULL,
    subject text NOT NULL,
    body text NOT NULL,
    written_on timestamptz NOT NULL,
    day date NOT NULL,
    sent_at timestamptz,
    created_at timestamptz NOT NULL DEFAULT now(),
    UNIQUE (user_id, day)
);
ALTER TABLE users ADD morning boolean NOT NULL DEFAULT false;
SQL);
    }
};
