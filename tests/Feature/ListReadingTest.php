<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListRow;
use App\Actions\Imports\ImportField;
use App\Actions\Imports\MatchColumns;
use App\Actions\Imports\OpenedList;
use App\Actions\Imports\ReadRow;
use App\Actions\Imports\RefusedRow;
use App\Actions\Names\ReadPastedNames;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What columns are taken for, and what a line is read as. */
final class ListReadingTest extends TestCase
{
    /**
     * @param  list<string>  $headings
     * @param  list<list<string>>  $samples
     * @param  list<string>  $fields
     */
    #[TestWith([
        ['Domain Name', 'Expires On', 'Registered', 'Auto Renew?', 'Registrar-Lock'],
        [],
        ['name', 'ends', 'created', 'intent', 'lock'],
    ])]
    #[TestWith([['Domäne', 'Ablaufdatum', 'Inhaber', 'Kundennummer'], [], ['name', 'ends', 'registrant', 'account']])]
    #[TestWith([['nom de domaine', "date d'expiration", 'titulaire'], [], ['name', 'ends', 'registrant']])]
    #[TestWith([
        ['A', 'B', 'C', 'D'],
        [['bell.com', 'ledger@bell.com', 'ok', 'green'], ['peal.org', 'x@peal.org', 'clientHold', 'blue']],
        ['name', 'mailbox', 'statuses', 'raw'],
    ])]
    #[TestWith([['Name', 'Domain'], [['one', 'bell.com']], ['raw', 'name']])]
    #[TestWith([['x'], [['12.10.2027']], ['ends']])]
    #[TestWith([
        ['x', 'y', 'z'],
        [['2027-10-12', '40718', '12.10.2019'], ['2028-01-01', '40719', '13.10.2019']],
        ['ends', 'raw', 'created'],
    ])]
    #[TestWith([
        ['Domaine', 'Date d’expiration', 'Prix', 'Renouvellement automatique'],
        [['bell.com', '12.10.2027', '12,90 €', 'oui']],
        ['name', 'ends', 'renewal', 'intent'],
    ])]
    #[TestWith([
        ['Dominio', 'Vencimiento', 'Titular', 'Bloqueo'],
        [['bell.com', '12/10/2027', 'Bell', 'sí']],
        ['name', 'ends', 'registrant', 'lock'],
    ])]
    #[TestWith([
        ['Domeinnaam', 'Vervaldatum', 'Naamservers'],
        [['bell.com', '12-10-2027', 'ns1.wire.example ns2.wire.example']],
        ['name', 'ends', 'servers'],
    ])]
    #[TestWith([['name', 'renewal'], [['bell.com', '12.90']], ['name', 'renewal']])]
    #[TestWith([['name', 'renewal'], [['bell.com', 'yes']], ['name', 'intent']])]
    #[TestWith([['name', 'domain'], [['Sound Kelp Farm', 'bell.com'], ['The Foundry', 'peal.org']], ['raw', 'name']])]
    #[TestWith([['x'], [['']], ['raw']])]
    public function test_columns_are_known_by_heading_and_then_by_content(array $headings, array $samples, array $fields): void
    {
        self::assertSame($fields, array_column((new MatchColumns())->handle($headings, $samples), 'value'));
    }

    /** @param  list<string>  $cells */
    private function read(ImportField $field, string $value, array $cells = []): mixed
    {
        $row = (new ReadRow([ImportField::Name, $field, ImportField::Raw], ['name', 'x', ''], DateOrder::DayMonthYear, 'GBP'))->handle(
            new ListRow(2, ['bell.com', $value, ...$cells]),
        );

        return $row['facts'][$field->value] ?? null;
    }

    #[TestWith([ImportField::Intent, 'Yes', 'by_itself'])]
    #[TestWith([ImportField::Intent, 'OFF', 'when_told'])]
    #[TestWith([ImportField::Intent, 'lapse', 'lapse'])]
    #[TestWith([ImportField::Lock, 'locked', 'on'])]
    #[TestWith([ImportField::Lock, '0', 'off'])]
    #[TestWith([ImportField::Ends, '3.4.2027', '2027-04-03'])]
    #[TestWith([ImportField::Statuses, 'client transfer prohibited, ACTIVE; clienthold', ['clientTransferProhibited', 'clientHold']])]
    #[TestWith([ImportField::Statuses, 'ok https://icann.example/epp#ok', ['ok']])]
    #[TestWith([ImportField::Mailbox, 'ledger@bell.com', 'ledger@bell.com'])]
    #[TestWith([ImportField::Registrant, '', null])]
    #[TestWith([ImportField::Ends, '46692', '2027-11-01'])]
    #[TestWith([ImportField::Ends, '1 juillet 2027', '2027-07-01'])]
    #[TestWith([ImportField::Ends, '3. März 2027', '2027-03-03'])]
    #[TestWith([ImportField::Renewal, '1.234,50 €', ['1234.50', 'EUR']])]
    #[TestWith([ImportField::Renewal, '12.9', ['12.90', 'GBP']])]
    #[TestWith([ImportField::Ends, '2027-03-01T00:30:00+02:00', '2027-02-28T22:30:00Z'])]
    #[TestWith([ImportField::Ends, '3.4.27', '2027-04-03'])]
    #[TestWith([ImportField::Lock, 'gesperrt', 'on'])]
    public function test_values_as_registrars_write_them(ImportField $field, string $written, mixed $read): void
    {
        self::assertSame($read, $this->read($field, $written));
    }

    #[TestWith([ImportField::Intent, 'sometimes', 'neither yes nor no'])]
    #[TestWith([ImportField::Lock, 'ajar', 'neither yes nor no'])]
    #[TestWith([ImportField::Ends, '4/13/2027', 'not a date'])]
    #[TestWith([ImportField::Mailbox, 'ledger', 'not a mailbox'])]
    #[TestWith([ImportField::Renewal, 'about 12', 'not an amount'])]
    public function test_values_that_are_wrong_say_which_and_why(ImportField $field, string $written, string $why): void
    {
        $this->expectException(RefusedRow::class);
        $this->expectExceptionMessage($why);
        $this->read($field, $written);
    }

    public function test_a_value_of_three_hundred_characters_is_refused_and_a_raw_one_is_cut(): void
    {
        $row = (new ReadRow([ImportField::Name, ImportField::Raw], ['name', 'remarks'], DateOrder::YearMonthDay, 'GBP'))->handle(
            new ListRow(2, ['bell.com', str_repeat('ä', 12_345)]),
        );
        self::assertSame(
            ['remarks' => str_repeat('ä', 10_000).'… (12345 characters in the file; the first 10000 are kept)'],
            $row['facts']['raw'],
        );
        $this->expectException(RefusedRow::class);
        $this->read(ImportField::Registrant, str_repeat('x', 300));
    }

    /** Two columns of one heading, cells right of the last heading, and a registrar's own words among statuses. */
    public function test_nothing_is_lost_without_a_word(): void
    {
        $read = fn (ImportField $field, string ...$cells): array => (new ReadRow(
            [ImportField::Name, $field, ImportField::Raw],
            ['name', 'Note', 'Note'],
            DateOrder::YearMonthDay,
            'GBP',
        ))->handle(new ListRow(2, ['bell.com', ...array_values($cells)]))['facts'];
        self::assertSame(['raw' => ['Note' => 'a', 'Note (2)' => 'b', 'column 4' => 'c']], $read(ImportField::Raw, 'a', 'b', 'c'));
        self::assertSame(
            ['statuses' => ['clientHold'], 'raw' => ['Note' => 'clientHold, Parked', 'Note (2)' => 'x']],
            $read(ImportField::Statuses, 'clientHold, Parked', 'x'),
        );
        self::assertSame(['statuses' => ['ok']], $read(ImportField::Statuses, 'ok (https://icann.example/epp#ok)', ''));
        // A currency without a price.
        self::assertSame(['raw' => ['Note' => 'EUR']], $read(ImportField::Currency, 'EUR', ''));
    }

    /**
     * @param  list<int>  $numbers  columns whose cells are numbers
     * @param  list<string>  $read
     */
    #[TestWith(['8.4 USD', '', [1], ['8.40', 'USD']])]
    #[TestWith(['9.996', '', [1], ['10.00', 'GBP']])]
    #[TestWith(['9.996', '', [], ['9996.00', 'GBP']])]
    #[TestWith(['9,90', 'EUR', [], ['9.90', 'EUR']])]
    #[TestWith(['9.90', '€', [1], ['9.90', 'EUR']])]
    #[TestWith(['1,250', 'KWD', [], ['1.250', 'KWD']])]
    #[TestWith(['1200', 'JPY', [1], ['1200', 'JPY']])]
    #[TestWith(['€9.90', 'EUR', [], ['9.90', 'EUR']])]
    public function test_a_price_is_in_the_currency_that_the_file_says(string $price, string $currency, array $numbers, array $read): void
    {
        self::assertSame($read, $this->price($price, $currency, $numbers));
    }

    /** @param  list<int>  $numbers */
    #[TestWith(['€9.90', 'USD', [], 'The price says EUR, and the currency column says USD'])]
    #[TestWith(['9.90', 'credits', [], '“credits” has an unknown currency'])]
    #[TestWith(['9.90', 'XQZ', [], 'has an unknown currency'])]
    #[TestWith(['-9.9', '', [1], 'not an amount'])]
    public function test_a_price_whose_currency_is_not_clear_is_refused(string $price, string $currency, array $numbers, string $why): void
    {
        $this->expectException(RefusedRow::class);
        $this->expectExceptionMessage($why);
        $this->price($price, $currency, $numbers);
    }

    /** @param  list<int>  $numbers */
    private function price(string $price, string $currency, array $numbers): mixed
    {
        return (new ReadRow(
            [ImportField::Name, ImportField::Renewal, ImportField::Currency],
            ['name', 'price', 'currency'],
            DateOrder::YearMonthDay,
            'GBP',
        ))->handle(new ListRow(2, ['bell.com', $price, $currency], $numbers))['facts']['renewal'] ?? null;
    }

    public function test_a_web_address_with_www_is_the_name_and_another_name_below_it_is_not(): void
    {
        $read = fn (string $name): string => (new ReadRow([ImportField::Name], ['name'], DateOrder::YearMonthDay, 'GBP'))->handle(
            new ListRow(2, [$name]),
        )['name']->ascii;
        self::assertSame('bell.co.uk', $read('https://www.Bell.co.uk/peal'));
        $this->expectExceptionMessage('a name below bell.co.uk');
        $read('shop.bell.co.uk');
    }

    public function test_a_pasted_list_is_read_with_any_separators_and_tells_what_it_did_not_know(): void
    {
        $house = new House();
        $ids = [$house->name('bell.com')->id, $house->name('glockenwärts.com')->id];
        $pasted = app(ReadPastedNames::class)->handle("bell.com; https://www.bell.com/x\tGLOCKENWÄRTS.com,peal.com\n\nco.uk | \x80");
        self::assertEqualsCanonicalizing($ids, $pasted->known);
        self::assertSame(['co.uk', '?', 'peal.com'], $pasted->unknown);
        self::assertSame('co.uk, ?, peal.com', $pasted->unknownShort());
        self::assertSame([], app(ReadPastedNames::class)->handle(' ,;')->known);
    }

    /** Killed, a reader can't clean up behind itself; whoever started it does. */
    public function test_a_reader_unpacks_where_nobody_else_reads_and_leaves_nothing(): void
    {
        $folders = function (): array {
            $found = glob(storage_path('framework/cache/acre-list-*'));

            return $found === false ? [] : $found;
        };
        $left = storage_path('framework/cache/acre-list-left');
        mkdir($left);
        touch($left, time() - 10_000);
        $path = (string) tempnam(sys_get_temp_dir(), 'list');
        file_put_contents($path, "name\n".implode("\n", array_map(fn (int $at): string => "bell-{$at}.com", range(1, 5_000))));
        $before = $folders();
        $list = OpenedList::open($path);
        $mine = array_values(array_diff($folders(), $before));
        self::assertCount(1, $mine);
        self::assertSame(0700, fileperms($mine[0]) & 0777);
        self::assertDirectoryDoesNotExist($left, 'what another left behind is gone');
        foreach ($list->rows() as $row) {
            if ($row->line > 10) {
                break;
            }
        }
        unset($list, $row);
        gc_collect_cycles();
        self::assertDirectoryDoesNotExist($mine[0]);
        file_put_contents($path, '');
        try {
            OpenedList::open($path);
            self::fail('It is no list.');
        } catch (ListError) {
            self::assertSame([], array_diff($folders(), $before));
        }
        unlink($path);
    }
}
