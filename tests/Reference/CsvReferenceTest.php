<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Wire\Lists\ListRow;
use Acre\Wire\Lists\Lists;
use Acre\Wire\Text\PlainText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Lists, held against Python's csv module as a second implementation of RFC 4180 (python3 is there: Debian's supervisor needs it). */
final class CsvReferenceTest extends TestCase
{
    private const WRITER = <<<'PY'
    import csv, json, random, sys
    separator, encoding, ending = sys.argv[1], sys.argv[2], sys.argv[3].encode().decode('unicode_escape')
    random.seed(4180)
    pieces = [
        'bell',
        'ä',
        ',',
        ';',
        '"',
        '""',
        '\n',
        "'",
        '=',
        'ß',
        '2027-11-02',
        'x y',
        '€',
    ] if encoding != 'latin-1' else ['bell', 'ä', ',', ';', '"', '\n', 'ß', '2027']
    rows = [['name', 'one', 'two', 'three']]
    for number in range(400):
        rows.append(
            ['bell-%d.com' % number] + [''.join(random.choice(pieces) for _ in range(random.randint(0, 6))).strip() for _ in range(3)],
        )
    with open(sys.argv[4], 'w', encoding=encoding, newline='') as out:
        csv.writer(out, delimiter=separator, lineterminator=ending).writerows(rows)
    json.dump(rows, sys.stdout)
    PY;

    #[TestWith([',', 'utf-8', '\r\n'])]
    #[TestWith([';', 'utf-8-sig', '\n'])]
    #[TestWith(["\t", 'utf-16', '\r\n'])]
    #[TestWith([';', 'latin-1', '\r\n'])]
    public function test_what_another_program_wrote_is_read_as_it_was_meant(string $separator, string $encoding, string $ending): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'acre-reference-');
        $writer = new Process(['/usr/bin/python3', '-c', self::WRITER, $separator, $encoding, $ending, $file]);
        $writer->mustRun();
        /** @var non-empty-list<list<string>> $meant */
        $meant = json_decode($writer->getOutput(), true, 16, JSON_THROW_ON_ERROR);
        $list = Lists::open($file);
        self::assertSame(array_shift($meant), $list->headings);
        $read = array_map(fn (ListRow $row): array => $row->cells, iterator_to_array($list->rows(), false));
        unlink($file);
        // A cell is one line to us, whatever was typed into it.
        self::assertSame(
            array_map(fn (array $row): array => array_map(fn (string $cell): string => PlainText::line($cell), $row), $meant),
            $read,
        );
    }
}
