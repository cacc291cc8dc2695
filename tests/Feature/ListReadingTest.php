<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\ListRow;
use App\Actions\Imports\ImportField;
use App\Actions\Imports\MatchColumns;
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
    #[TestWith([['Domain Name', 'Expires On', 'Registered', 'Auto Renew?', 'Registrar-Lock'], [], ['name', 'ends', 'created', 'intent', 'lock']])]
    #[TestWith([['Domäne', 'Ablaufdatum', 'Inhaber', 'Kundennummer'], [], ['name', 'ends', 'registrant', 'account']])]
    #[TestWith([['nom de domaine', "date d'expiration", 'titulaire'], [], ['name', 'ends', 'registrant']])]
    #[TestWith([['A', 'B', 'C', 'D'], [['bell.com', 'ledger@bell.com', 'ok', 'green'], ['peal.org', 'x@peal.org', 'clientHold', 'blue']], ['name', 'mailbox', 'statuses', 'raw']])]
    #[TestWith([['Name', 'Domain'], [['one', 'bell.com']], ['name', 'raw']])]
    #[TestWith([['x'], [['12.10.2027']], ['raw']])]
    #[TestWith([['x'], [['']], ['raw']])]
    public function test_columns_are_known_by_heading_and_then_by_content(array $headings, array $samples, array $fields): void
    {
        self::assertSame($fields, array_column((new MatchColumns)->handle($headings, $samples), 'value'));
    }

    /** @param  list<string>  $cells */
    private function read(ImportField $field, string $value, array $cells = []): mixed
    {
        $row = (new ReadRow([ImportField::Name, $field, ImportField::Raw], ['name', 'x', ''], DateOrder::DayMonthYear))->handle(new ListRow(2, ['bell.com', $value, ...$cells]));

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
    public function test_values_as_registrars_write_them(ImportField $field, string $written, mixed $read): void
    {
        self::assertSame($read, $this->read($field, $written));
    }

    #[TestWith([ImportField::Intent, 'sometimes', 'neither yes nor no'])]
    #[TestWith([ImportField::Lock, 'ajar', 'neither yes nor no'])]
    #[TestWith([ImportField::Ends, '4/13/2027', 'no date'])]
    #[TestWith([ImportField::Mailbox, 'ledger', 'not a mailbox'])]
    public function test_values_that_are_wrong_say_which_and_why(ImportField $field, string $written, string $why): void
    {
        $this->expectException(RefusedRow::class);
        $this->expectExceptionMessage($why);
        $this->read($field, $written);
    }

    public function test_a_value_of_three_hundred_characters_is_refused_and_a_raw_one_is_cut(): void
    {
        $row = (new ReadRow([ImportField::Name, ImportField::Raw], ['name', 'remarks'], DateOrder::YearMonthDay))->handle(new ListRow(2, ['bell.com', str_repeat('ä', 1500)]));
        self::assertSame(['remarks' => str_repeat('ä', 1000)], $row['facts']['raw']);
        $this->expectException(RefusedRow::class);
        $this->read(ImportField::Registrant, str_repeat('x', 300));
    }

    public function test_a_web_address_with_www_is_the_name_and_another_name_below_it_is_not(): void
    {
        $read = fn (string $name): string => (new ReadRow([ImportField::Name], ['name'], DateOrder::YearMonthDay))->handle(new ListRow(2, [$name]))['name']->ascii;
        self::assertSame('bell.co.uk', $read('https://www.Bell.co.uk/peal'));
        $this->expectExceptionMessage('a name below bell.co.uk');
        $read('shop.bell.co.uk');
    }

    public function test_a_pasted_list_is_read_with_any_separators_and_tells_what_it_did_not_know(): void
    {
        $house = new House;
        $ids = [$house->name('bell.com')->id, $house->name('glockenwärts.com')->id];
        $pasted = app(ReadPastedNames::class)->handle("bell.com; https://www.bell.com/x\tGLOCKENWÄRTS.com,peal.com\n\nco.uk | \x80");
        self::assertEqualsCanonicalizing($ids, $pasted->known);
        self::assertSame(['co.uk', '?', 'peal.com'], $pasted->unknown);
        self::assertSame('co.uk, ?, peal.com', $pasted->unknownShort());
        self::assertSame([], app(ReadPastedNames::class)->handle(' ,;')->known);
    }
}
