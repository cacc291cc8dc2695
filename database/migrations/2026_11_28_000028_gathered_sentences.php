<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** "All that match" is kept as the sentence and its exceptions; the names stand beside it as they were seen when it was pressed. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
CREATE TABLE selection_sentences (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    selection_id uuid NOT NULL REFERENCES selections ON DELETE CASCADE,
    words jsonb NOT NULL CHECK (jsonb_typeof(words) IN ('object', 'array')),
    gathered_on timestamptz NOT NULL,
    UNIQUE (selection_id, words)
);
-- A name that a sentence gave and somebody took out stays as an exception, so that it doesn't come back with the sentence.
ALTER TABLE selection_names ADD sentence_id bigint REFERENCES selection_sentences ON DELETE SET NULL;
ALTER TABLE selection_names ADD left_out boolean NOT NULL DEFAULT false;
CREATE INDEX selection_names_sentence ON selection_names (sentence_id) WHERE sentence_id IS NOT NULL;
SQL);
    }
};
