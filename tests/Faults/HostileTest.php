<?php

declare(strict_types=1);

namespace Tests\Faults;

use App\Models\Import;
use App\Models\ImportState;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\Group;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\House;
use Tests\TestCase;
use ZipArchive;

/**
 * What somebody who means harm sends: files, and requests at every address with every field there is. Words are the answer, never a fault
 * of ours.
 */
#[Group('heavy')]
final class HostileTest extends TestCase
{
    private const REQUESTS = 2_000;

    private const FILES = 100;

    private House $house;

    private Randomizer $random;

    protected function setUp(): void
    {
        parent::setUp();
        config(['house.uploads_a_minute' => 100_000]);
        Storage::fake();
        $this->house = new House();
        $this->house->name('bell.com');
        $this->house->name('peal.org');
        $this->random = new Randomizer(new Mt19937(20_26));
    }

    public function test_two_thousand_requests_end_without_a_fault_of_ours(): void
    {
        $routes = array_values(
            array_filter(
                Routes::getRoutes()->getRoutes(),
                fn (Route $route): bool => ! str_starts_with($route->uri(), 'storage') && ! str_starts_with($route->uri(), '_'),
            ),
        );
        $fields = $this->fields();
        self::assertGreaterThan(150, count($fields));
        $people = [$this->house->owner, $this->house->steward, $this->house->clerk, $this->house->reader, null];
        $answered = [];
        for ($number = 0; $number < self::REQUESTS; $number++) {
            $route = $routes[$number % count($routes)];
            $method = $route->methods()[0];
            $address =
                '/'.
                ltrim(
                    (string) preg_replace_callback('/\{(\w+)\??\}/', fn (array $part): string => $this->place($part[1]), $route->uri()),
                    '/',
                );
            $sent = [];
            for ($one = $this->random->getInt(0, 12); $one > 0; $one--) {
                $sent[$fields[$this->random->getInt(0, count($fields) - 1)]] = $this->value(0);
            }
            $this->as($people[$this->random->getInt(0, count($people) - 1)]);
            $status = $this->from($this->random->getInt(0, 3) === 0 ? 'https://elsewhere.example/x' : '/roll')
                ->call($method, $address, $sent)
                ->getStatusCode();
            self::assertLessThan(500, $status, "{$method} {$address} ".json_encode($sent, JSON_INVALID_UTF8_SUBSTITUTE));
            $answered[$status] = ($answered[$status] ?? 0) + 1;
        }
        self::assertGreaterThan(100, $answered[200] ?? 0, 'some of them must get in');
        self::assertGreaterThan(100, $answered[302] ?? 0);
        $this->as($this->house->owner);
        foreach (['/rounds', '/roll', '/log', '/failed-work', '/people'] as $page) {
            $this->get($page)->assertOk();
        }
    }

    public function test_a_hundred_files_end_without_a_fault_of_ours(): void
    {
        $this->as($this->house->owner);
        $files = [...$this->made(), ...$this->broken()];
        self::assertGreaterThanOrEqual(self::FILES, count($files));
        foreach ($files as $called => $bytes) {
            $number = Import::query()->orderByDesc('id')->first()->id ?? 0;
            $sent = ['registrar' => $this->house->skerry->id, 'account' => $this->house->ours->id, 'client' => $this->house->harrow->id];
            $upload = fn (): UploadedFile => UploadedFile::fake()->createWithContent(basename($called), $bytes);
            $answers = [
                $this->from('/imports')->post('/imports', [...$sent, 'list' => $upload()]),
                $this->from('/contacts')->post('/contacts/cards', ['cards' => $upload()]),
                $this->from('/names/bell.com')->post('/names/bell.com/notes', ['note' => 'A letter', 'file' => $upload()]),
                $this->from('/received/create')->post('/received', [
                    'kind' => 'other',
                    'sender' => 'x',
                    'about' => 'y',
                    'received_on' => '2026-10-06',
                    'file' => $upload(),
                ]),
            ];
            foreach ($answers as $answer) {
                self::assertLessThan(500, $answer->getStatusCode(), $called);
            }
            $import = Import::query()->where('id', '>', $number)->first();
            if ($import instanceof Import) {
                self::assertSame(200, $this->get("/imports/{$import->id}")->getStatusCode(), $called);
                $read = $this->post("/imports/{$import->id}/columns", ['columns' => ['name', 'ends', 'client'], 'order' => 'ymd']);
                self::assertLessThan(500, $read->getStatusCode(), $called);
                self::assertSame(200, $this->get("/imports/{$import->id}")->getStatusCode(), $called);
                self::assertContains($import->refresh()->state, [ImportState::Uploaded, ImportState::Read, ImportState::Failed], $called);
            }
        }
        $this->get('/names/bell.com')->assertOk();
        $this->get('/contacts')->assertOk();
    }

    private function as(?User $user): void
    {
        $this->flushSession();
        auth()->forgetGuards();
        if ($user !== null) {
            $this->actingAs($user->refresh());
        }
    }

    /** What stands in an address where a thing is meant: one that is there, or nothing like it. */
    private function place(string $part): string
    {
        $there = [
            'name' => 'bell.com',
            'kind' => 'csv',
            'suffix' => 'com',
            'deed' => 'change_lock',
            'account' => (string) $this->house->ours->id,
            'registrar' => (string) $this->house->skerry->id,
            'client' => (string) $this->house->harrow->id,
            'person' => (string) $this->house->clerk->id,
            'user' => (string) $this->house->clerk->id,
        ];

        return $this->random->getInt(0, 3) > 0
            ? $there[$part] ?? (string) $this->random->getInt(1, 5)
            : rawurlencode(['0', '99999999999999999999', "x'y", "\u{202E}", '..', 'a b', 'xn--', '-1'][$this->random->getInt(0, 7)]);
    }

    private function value(int $deep): mixed
    {
        return match ($this->random->getInt(0, 11)) {
            0 => str_repeat('x', $this->random->getInt(300, 120_000)),
            1 => $this->random->getBytes($this->random->getInt(1, 60)),
            2 => $deep > 3 ? 'deep' : [$this->value($deep + 1), 'y' => $this->value($deep + 1)],
            3 => "a\0b\r\nBcc: x@elsewhere.example",
            4 => ['-1', '0', '9223372036854775808', '1e400', '0x1F', 'NaN', '٣', "1\u{A0}000,00"][$this->random->getInt(0, 7)],
            5 => ['2026-02-30', '0000-00-00', '10/12/2026', '2026-10-06T25:61:61Z', '+1000000-01-01'][$this->random->getInt(0, 4)],
            6 => ["'; DROP TABLE names; --", '<script>alert(1)</script>', '{{7*7}}', '${jndi:x}', '=cmd|x', '%00', '../../etc/passwd'][
                $this->random->getInt(0, 6)
            ],
            7 => ['bell.com', 'xn--a', "\u{130}stanbul.example", str_repeat('a.', 130).'com', 'bell.com. 3600 IN A 1'][
                $this->random->getInt(0, 4)
            ],
            8 => ['desk@bells.example', '"a b"@x', '@', "a@b\nc", str_repeat('a', 400).'@x.example'][$this->random->getInt(0, 4)],
            9 => (string) $this->random->getInt(1, 5),
            10 => ['1', 'on', 'true', ''][$this->random->getInt(0, 3)],
            default => ['GBP', 'epp', 'lapse', 'csv', 'steward', 'ymd', 'done', "\u{202E}\u{2066}", "\u{FEFF}", '🐦'][
                $this->random->getInt(0, 9)
            ],
        };
    }

    /** @return list<string> whatever any form of ours is asked for */
    private function fields(): array
    {
        $found = [];
        foreach ([...File::allFiles(resource_path('views')), ...File::allFiles(app_path('Http'))] as $file) {
            preg_match_all('/\bname="([a-z_]+)[\["]|^\s*\'([a-z_]+)(?:\.\*)?\' => \[/m', $file->getContents(), $names);
            $found = [...$found, ...$names[1], ...$names[2]];
        }

        return array_values(array_unique(array_filter($found, fn (string $name): bool => $name !== '')));
    }

    /** @return array<string, string> files by what they are called */
    private function made(): array
    {
        $sheet =
            '<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData><row r="1"><c r="A1" '
                .'t="inlineStr"><is><t>name</t></is></c></row></sheetData></worksheet>';
        $evil = '<!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/passwd">]>';
        $files = [
            'empty.csv' => '',
            'only-a-mark.csv' => "\xEF\xBB\xBF",
            'nothing.csv' => str_repeat("\0", 5_000),
            'one-line.csv' => str_repeat('a,', 200_000),
            'quotes.csv' => 'name,"'.str_repeat('""', 50_000),
            'open.csv' => "name\n\"bell.com",
            'long-cell.csv' => "name,ends\nbell.com,".str_repeat('x', 3_000_000)."\n",
            'blank.csv' => str_repeat("\n", 300_000),
            'formulas.csv' => "name,client\nbell.com,=1+1;@SUM(A1)\n",
            'half.csv' => "\xFF\xFEn\0a\0m",
            'utf32.csv' => "\xFF\xFE\0\0n\0\0\0",
            'page.csv' => '<html><body><table><tr><td>name</td></tr></table></body></html>',
            'letter.csv' => "From: x\r\n\r\nbody",
            'picture.csv' => "\x89PNG\r\n\x1A\n".str_repeat("\x80", 400),
            'program.csv' => "\x7FELF".str_repeat("\1", 400),
            '..%2f..%2fx.csv' => "name\nbell.com\n",
            'deep.json' => str_repeat('[', 20_000).str_repeat(']', 20_000),
            'twice.json' => '[{"name":"bell.com","name":["x"]}]',
            'number.json' => '1e999999',
            'torn.json' => '[{"name":"bell.c',
            'wide.json' => '[{'.implode(',', array_map(fn (int $at): string => "\"k{$at}\":1", range(1, 5_000))).'}]',
            'none.vcf' => "BEGIN:VCARD\r\n",
            'many.vcf' => str_repeat("BEGIN:VCARD\r\nVERSION:4.0\r\nFN:x\r\nEND:VCARD\r\n", 3_000),
            'folded.vcf' => "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:x".str_repeat("\r\n x", 50_000)."\r\nEND:VCARD\r\n",
            'nested.vcf' => str_repeat("BEGIN:VCARD\r\n", 5_000),
            'quoted.vcf' => "BEGIN:VCARD\r\nVERSION:2.1\r\nN;ENCODING=QUOTED-PRINTABLE:=00=FF=\r\nEND:VCARD\r\n",
            'letter.eml' => str_repeat("Received: x\r\n", 20_000)."\r\n",
            'parts.eml' => "Content-Type: multipart/mixed; boundary=a\r\n\r\n".
                str_repeat("--a\r\nContent-Type: multipart/mixed; boundary=a\r\n\r\n", 2_000),
            'not-a.xlsx' => 'PK'.str_repeat('x', 200),
            'torn.xlsx' => substr($this->archive(['xl/worksheets/sheet1.xml' => $sheet]), 0, 150),
            'bare.xlsx' => $this->archive([]),
            'entity.xlsx' => $this->archive([
                '[Content_Types].xml' => $evil.'<Types/>',
                'xl/workbook.xml' => $evil.'<workbook/>',
                'xl/worksheets/sheet1.xml' => $evil.$sheet,
            ]),
            'utf16.xlsx' => $this->archive([
                'xl/worksheets/sheet1.xml' => "\xFF\xFE".mb_convert_encoding($evil.$sheet, 'UTF-16LE', 'UTF-8'),
            ]),
            'padded.xlsx' => $this->archive(['xl/worksheets/sheet1.xml' => str_repeat(' ', 100_000).$evil.$sheet]),
            'other-name.xlsx' => $this->archive(['xl/data.bin' => $evil.$sheet, 'xl/workbook.xml' => '<workbook/>']),
            'big.xlsx' => $this->archive(['xl/worksheets/sheet1.xml' => str_repeat('<row/>', 4_000_000)]),
            'up.xlsx' => $this->archive(['../../../x' => 'x', '/etc/x' => 'y']),
            'many.xlsx' => $this->archive(
                array_combine(array_map(fn (int $at): string => "x{$at}.xml", range(1, 3_000)), array_fill(0, 3_000, '<x/>')),
            ),
            'laughs.ods' => $this->archive([
                'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet',
                'content.xml' => '<!DOCTYPE a [<!ENTITY b "'.
                    str_repeat('c', 1_000).
                    '">]><office:document-content>'.
                    str_repeat('&b;', 10_000).
                    '</office:document-content>',
            ]),
            'repeated.ods' => $this->archive([
                'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet',
                'content.xml' => '<office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" '
                    .'xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" '
                    .'xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"><office:body><office:spreadsheet><table:table>'
                    .'<table:table-row table:number-rows-repeated="1000000"><table:table-cell '
                    .'table:number-columns-repeated="16384"><text:p>x</text:p></table:table-cell></table:table-row></table:table>'
                    .'</office:spreadsheet></office:body></office:document-content>',
            ]),
            'empty.xlsx' => '',
            'empty.ods' => '',
            'empty.vcf' => '',
            'empty.eml' => '',
            'called.exe' => 'MZ',
            'called' => "name\nbell.com\n",
            "odd\u{202E}vsc.csv" => "name\nbell.com\n",
        ];

        return $files;
    }

    /** @return array<string, string> files as they should be, of which single bytes are not */
    private function broken(): array
    {
        $good = [
            'list.csv' => "name,ends,client\nbell.com,2027-11-02,Wickerby\npeal.org,02.11.2027,\"a \"\"quoted\"\" one\"\n",
            'list.json' => '[{"name":"bell.com","ends":"2027-11-02"},{"name":"peal.org"}]',
            'card.vcf' => "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Gudrun Kettle\r\nEMAIL:gudrun@kettle.example\r\nADR:;;1 Quay;Wickerby;;AB1 "
                ."2CD;GB\r\nEND:VCARD\r\n",
            'letter.eml' => "From: a@kettle.example\r\nContent-Type: multipart/mixed; boundary=b\r\n\r\n--b\r\nContent-Type: text/plain; "
                ."charset=utf-8\r\n\r\nHello\r\n--b--\r\n",
            'list.xlsx' => $this->archive([
                '[Content_Types].xml' => '<Types/>',
                'xl/workbook.xml' => '<workbook><sheets><sheet name="a" sheetId="1"/></sheets></workbook>',
                'xl/worksheets/sheet1.xml' => '<worksheet><sheetData><row r="1"><c r="A1" '
                    .'t="inlineStr"><is><t>name</t></is></c></row></sheetData></worksheet>',
            ]),
        ];
        $broken = [];
        for ($number = 0; $number < 60; $number++) {
            $called = array_keys($good)[$number % count($good)];
            $bytes = $good[$called];
            for ($change = $this->random->getInt(1, 8); $change > 0; $change--) {
                $at = $this->random->getInt(0, strlen($bytes) - 1);
                $bytes = match ($this->random->getInt(0, 2)) {
                    0 => substr_replace($bytes, $this->random->getBytes(1), $at, 1),
                    1 => substr($bytes, 0, $at).$this->random->getBytes(3).substr($bytes, $at),
                    default => substr_replace($bytes, '', $at, min(5, strlen($bytes) - 2)),
                };
            }
            $broken["{$number}/{$called}"] = $bytes;
        }

        return $broken;
    }

    /** @param  array<string, string>  $parts */
    private function archive(array $parts): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'acre-hostile-');
        $archive = new ZipArchive();
        $archive->open($file, ZipArchive::OVERWRITE);
        foreach ($parts as $name => $bytes) {
            $archive->addFromString($name, $bytes);
        }
        $parts === [] ? $archive->addEmptyDir('x') : null;
        $archive->close();
        $bytes = (string) file_get_contents($file);
        unlink($file);

        return $bytes;
    }
}
