<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use App\Actions\Gates\StoreAuthCode;
use App\Models\User;
use App\Support\Row;
use Illuminate\Database\Connection;
use SensitiveParameter;

/** Keeps auth codes from a pasted list, a name and its code a line, and lets go on what waited for them. */
final readonly class GiveCodes
{
    private const MOST = 1_000;

    public function __construct(private Connection $database, private StoreAuthCode $codes, private ResumeTransfers $resume)
    {
    }

    /** @return array{int, list<array{int, string}>} how many are kept; lines that are not, by number, with the reason and no text */
    public function handle(User $user, #[SensitiveParameter] string $text): array
    {
        [$codes, $refused] = self::read($text);
        $ids = [];
        foreach (
            Row::all($this->database->table('standings')->whereIn('ascii', array_keys($codes))->get(['name_id', 'ascii'])) as $row
        ) {
            $ids[$row->text('ascii')] = $row->int('name_id');
        }
        foreach ($codes as $ascii => [$line, $code]) {
            if (! isset($ids[$ascii])) {
                $refused[] = [$line, 'not_on_roll'];

                continue;
            }
            $this->codes->handle($ids[$ascii], $code, 'typed', $user);
        }
        $this->resume->of(array_values($ids));
        sort($refused);

        return [count($ids), $refused];
    }

    /** @return array{array<string, array{int, string}>, list<array{int, string}>} line and code by name; lines that say none */
    private static function read(#[SensitiveParameter] string $text): array
    {
        $codes = $refused = [];
        $lines = preg_split('/\R/u', mb_scrub($text));
        foreach ($lines === false ? [] : $lines as $number => $line) {
            // A list from a spreadsheet has tabs or semicolons between.
            $parts = preg_split('/[\s;,]+/u', trim($line), 2);
            if ($parts === false || $parts[0] === '') {
                continue;
            }
            $code = trim($parts[1] ?? '', " \t\"");
            try {
                $ascii = DomainName::of($parts[0])->registrable()->ascii;
            } catch (NameError) {
                $refused[] = [$number + 1, 'no_name'];

                continue;
            }
            if (preg_match('/\A[\x21-\x7e]{1,100}\z/', $code) !== 1) {
                $refused[] = [$number + 1, $code === '' ? 'no_code' : 'not_printable'];
            } elseif (count($codes) >= self::MOST) {
                $refused[] = [$number + 1, 'too_many'];
            } else {
                $codes[$ascii] = [$number + 1, $code];
            }
        }

        return [$codes, $refused];
    }
}
