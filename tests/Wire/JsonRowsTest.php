<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListRow;
use Acre\Wire\Lists\Lists;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Lists of objects in JSON (RFC 8259), in any spelling that a program may choose. */
final class JsonRowsTest extends TestCase
{
    /** @var list<string> */
    private array $files = [];

    protected function tearDown(): void
    {
        array_map(unlink(...), $this->files);
    }

    private function file(string $content): string
    {
        $this->files[] = $file = (string) tempnam(sys_get_temp_dir(), 'acre-json-');
        file_put_contents($file, $content);

        return $file;
    }

    public function test_every_key_is_a_column_and_every_spelling_is_read_alike(): void
    {
        $objects = [
            ['Name' => 'bell.com', 'Renewal price' => 9.996, 'Lock' => true, 'Name servers' => ['ns1.wire.example', 'ns2.wire.example']],
            ['Name' => 'glocken{"wärts}.com', 'Note' => "quo\"te \\ and {braces}\nin two lines", 'Lock' => null, 'More' => ['a' => 1]],
        ];
        foreach ([JSON_PRETTY_PRINT, 0, JSON_UNESCAPED_UNICODE] as $how) {
            $list = Lists::open($this->file("\xEF\xBB\xBF ".json_encode($objects, JSON_THROW_ON_ERROR | $how)));
            self::assertSame(['Name', 'Renewal price', 'Lock', 'Name servers', 'Note', 'More'], $list->headings);
            $rows = iterator_to_array($list->rows(), false);
            self::assertSame([
                [1, ['bell.com', '9.996', 'yes', 'ns1.wire.example, ns2.wire.example', '', ''], [1]],
                [2, ['glocken{"wärts}.com', '', '', '', 'quo"te \ and {braces} in two lines', '{"a":1}'], []],
            ], array_map(fn (ListRow $row): array => [$row->line, $row->cells, $row->numbers], $rows));
        }
    }

    public function test_a_long_list_is_read_an_object_at_a_time(): void
    {
        // Escapes and quotation marks fall on the seams of what is read at once somewhere in it.
        $objects = array_map(fn (int $at): array => ['name' => "bell-{$at}.com", 'note' => str_repeat('\\"', $at % 37)], range(1, 9_000));
        $rows = iterator_to_array(Lists::open($this->file(json_encode($objects, JSON_THROW_ON_ERROR)))->rows(), false);
        self::assertCount(9_000, $rows);
        self::assertSame(array_column($objects, 'note'), array_map(fn (ListRow $row): string => $row->cell(1), $rows));
    }

    #[TestWith(['[{"name":"bell.com"},{"name":"peal', 'Object 2 of the file is no JSON: the file ends within it'])]
    #[TestWith(['[{"name":"bell.com"},{"name":bell}]', 'Object 2 of the file is no JSON: syntax error'])]
    #[TestWith(['[{"name":"bell.com"}}]', 'a brace is closed that was not opened'])]
    #[TestWith(['[]', 'The file is empty'])]
    public function test_what_is_broken_says_where(string $content, string $why): void
    {
        $this->expectException(ListError::class);
        $this->expectExceptionMessage($why);
        iterator_to_array(Lists::open($this->file($content))->rows(), false);
    }

    public function test_an_object_that_never_ends_does_not_swallow_the_machine(): void
    {
        $this->expectException(ListError::class);
        $this->expectExceptionMessage('is longer than');
        Lists::open($this->file('[{"name":"'.str_repeat('bell', 200_000)));
    }
}
