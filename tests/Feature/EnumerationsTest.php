<?php

declare(strict_types=1);

namespace Tests\Feature;

use BackedEnum;
use FilesystemIterator;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use SplFileInfo;
use Tests\TestCase;

/** What the code knows as one of a few words, the database takes no other word for. */
final class EnumerationsTest extends TestCase
{
    /** @return iterable<string, array{class-string<Model>}> */
    public static function models(): iterable
    {
        /** @var SplFileInfo $file */
        foreach (new FilesystemIterator(__DIR__.'/../../app/Models') as $file) {
            $class = 'App\\Models\\'.$file->getBasename('.php');
            if (is_subclass_of($class, Model::class)) {
                yield $class => [$class];
            }
        }
    }

    /** @param  class-string<Model>  $class */
    #[DataProvider('models')]
    public function test_a_column_of_an_enumeration_is_checked_by_the_database(string $class): void
    {
        $model = new $class();
        $checked = 0;
        foreach ($model->getCasts() as $column => $cast) {
            $enum = self::enumeration((string) $cast);
            if ($enum === null) {
                continue;
            }
            $checked++;
            $known = array_map(fn (BackedEnum $case): string => (string) $case->value, $enum::cases());
            self::assertEqualsCanonicalizing($known, self::allowed($model->getTable(), $column), "{$model->getTable()}.{$column}");
        }

        if ($checked === 0) {
            $this->expectNotToPerformAssertions();
        }
    }

    /** @return class-string<BackedEnum>|null of a cast, or of the cast's first parameter */
    private static function enumeration(string $cast): ?string
    {
        foreach (explode(',', str_replace(':', ',', $cast)) as $part) {
            if (is_subclass_of($part, BackedEnum::class)) {
                return $part;
            }
        }

        return null;
    }

    /** @return list<string> the values of the column's own check */
    private static function allowed(string $table, string $column): array
    {
        $check = DB::scalar(
            "SELECT string_agg(pg_get_constraintdef(k.oid), ' ') FROM pg_constraint k
             JOIN pg_attribute a ON a.attrelid = k.conrelid AND k.conkey = ARRAY[a.attnum]
             WHERE k.contype = 'c' AND k.conrelid = ?::regclass AND a.attname = ? AND pg_get_constraintdef(k.oid) LIKE '%ARRAY[%'",
            [$table, $column],
        );
        preg_match_all("/'([^']*)'::text/", is_string($check) ? $check : '', $found);

        return array_values(array_filter($found[1], fn (string $word): bool => $word !== ''));
    }
}
