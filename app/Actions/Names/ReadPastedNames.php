<?php

declare(strict_types=1);

namespace App\Actions\Names;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Reads a list of names with any separators, and tells those that nobody holds or that are no names. */
final readonly class ReadPastedNames
{
    public function __construct(private Connection $database)
    {
    }

    public function handle(string $text): PastedNames
    {
        $parts = preg_split('/[\s,;|]+/u', mb_scrub($text), -1, PREG_SPLIT_NO_EMPTY);
        $wanted = $unknown = [];
        foreach ($parts === false ? [] : $parts as $part) {
            try {
                $wanted[DomainName::of($part)->registrable()->ascii] = $part;
            } catch (NameError) {
                $unknown[] = $part;
            }
        }
        $ids = [];
        foreach (array_chunk(array_keys($wanted), 1000) as $chunk) {
            foreach (Row::all($this->database->table('standings')->whereIn('ascii', $chunk)->get(['name_id', 'ascii'])) as $row) {
                $ids[$row->text('ascii')] = $row->int('name_id');
            }
        }

        return new PastedNames(array_values($ids), [...$unknown, ...array_values(array_diff_key($wanted, $ids))]);
    }
}
