<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** An amount has as many decimals as its currency (ISO 4217): none, two, three or four. */
return new class extends Migration
{
    private const NONE = "('BIF', 'CLP', 'DJF', 'GNF', 'ISK', 'JPY', 'KMF', 'KRW', 'PYG', 'RWF', 'UGX', 'UYI', 'VND', 'VUV', 'XAF', "
        ."'XOF', 'XPF')";

    public function up(): void
    {
        DB::unprepared(
            '
            ALTER TABLE prices ALTER amount TYPE numeric, ADD CHECK (scale(amount) <= 4 AND amount < 10000000000);
            ALTER TABLE registrations ALTER own_renewal TYPE numeric, ADD CHECK (scale(own_renewal) <= 4 AND own_renewal < 10000000000);
            ALTER TABLE standings ALTER sum TYPE numeric;
            UPDATE prices SET amount = round(amount) WHERE currency IN '.
                self::NONE.
                ';
            UPDATE registrations SET own_renewal = round(own_renewal) WHERE own_currency IN '.
                self::NONE.
                ';
            INSERT INTO standings_stale (name_id) SELECT name_id FROM standings;
        ',
        );
    }
};
