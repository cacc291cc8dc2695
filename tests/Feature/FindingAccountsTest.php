<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Registrar;
use App\Queries\Accounts\FindAccounts;
use App\Queries\Tallies;
use App\Support\Row;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Accounts found by any part of what names them, and how many names lie where. */
final class FindingAccountsTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $oriel = Registrar::query()->create(['name' => 'Oriel Names']);
        $this->house->account('7731', null, $oriel)->update(['handle' => 'HT-ORIEL', 'login' => null, 'mailbox' => null]);
    }

    /** @return list<string> */
    private function numbers(string $typed, ?int $registrar = null, int $limit = 10): array
    {
        return array_values(
            array_map(
                fn (Account $account): string => $account->number,
                app(FindAccounts::class)->matching($typed, $registrar, $limit)->all(),
            ),
        );
    }

    /** @param  list<string>  $found */
    #[TestWith(['', ['7731', '40718', '51877']])]
    #[TestWith(['  ', ['7731', '40718', '51877']])]
    #[TestWith(['407', ['40718']])]
    #[TestWith(['LOGIN-5', ['51877']])]
    #[TestWith(['ht-or', ['7731']])]
    #[TestWith(['foundry', ['51877']])]
    #[TestWith(['skerry', ['40718', '51877']])]
    #[TestWith(['bell skerry 518', ['51877']])]
    #[TestWith(['bell oriel', []])]
    #[TestWith(['%', []])]
    #[TestWith(['_', []])]
    #[TestWith(["'", []])]
    #[TestWith(['box-40718@', ['40718']])]
    public function test_every_word_must_be_found_somewhere(string $typed, array $found): void
    {
        self::assertSame($found, $this->numbers($typed));
    }

    public function test_only_one_registrars_and_never_more_than_asked(): void
    {
        self::assertSame(['40718', '51877'], $this->numbers('', $this->house->skerry->id));
        self::assertSame(['40718'], $this->numbers('', $this->house->skerry->id, 1));
    }

    public function test_tallies_count_what_is_held_now(): void
    {
        foreach (['one.com', 'two.com'] as $name) {
            $this->house->name($name);
        }
        $this->house->name('three.com', $this->house->theirs, $this->house->harrow);
        $tallies = app(Tallies::class);
        self::assertEquals(
            [$this->house->ours->id => 2, $this->house->theirs->id => 1],
            array_map(fn (Row $row): int => $row->int('names'), $tallies->by('account_id', [$this->house->ours, $this->house->theirs])),
        );
        self::assertSame([$this->house->theirs->id], array_keys($tallies->by('account_id', [$this->house->theirs])));
        self::assertSame(
            [['40718', 2]],
            array_map(
                fn (Row $row): array => [$row->text('account_number'), $row->int('names')],
                $tallies->heldFor($this->house->foundry->id),
            ),
        );
        self::assertNull($tallies->lastHandover($this->house->ours->id));
        self::assertSame('three.com', $tallies->exampleIn($this->house->theirs->id));
        self::assertNull($tallies->exampleIn(999_999));
    }
}
