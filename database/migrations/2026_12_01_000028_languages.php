<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** In which language clients are written to. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            ALTER TABLE clients ADD language text NOT NULL DEFAULT 'en' CHECK (language IN ('en', 'de', 'fr'));

            ALTER TABLE letter_texts ADD language text NOT NULL DEFAULT 'en' CHECK (language IN ('en', 'de', 'fr')),
                DROP CONSTRAINT letter_texts_kind_key, ADD UNIQUE (kind, language);
            SQL);
    }
};
