<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Queries\Find\FindAnything;
use App\Queries\Find\Found;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The search in the mast. */
final class FindTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->house->name(
            'glockenwärts.com',
            facts: ['registrant' => 'Gudrun Kettle', 'mailbox' => 'gudrun@kettle.example', 'reference' => 'S-0042/B'],
        );
        $this->house->name('quayside-theatre.com', client: $this->house->harrow);
        $this->house->name('theatre-tickets.com', client: $this->house->harrow);
    }

    /** @return array<string, list<string>> titles by kind */
    private static function found(string $text): array
    {
        return array_map(
            fn (array $found): array => array_map(fn (Found $one): string => $one->title, $found),
            app(FindAnything::class)->matching($text),
        );
    }

    /** @return iterable<string, array{string, string, list<string>}> */
    public static function typed(): iterable
    {
        yield 'a part of a name, those that begin so first' => ['theatre', 'names', ['theatre-tickets.com', 'quayside-theatre.com']];
        yield 'the Unicode form' => ['WÄRTS', 'names', ['glockenwärts.com']];
        yield 'what DNS carries' => ['xn--glocken', 'names', ['glockenwärts.com']];
        yield 'a web address' => ['https://glockenwärts.com/peal', 'names', ['glockenwärts.com']];
        yield 'a registrar’s reference' => ['s-0042/b', 'names', ['glockenwärts.com']];
        yield 'a registrant' => ['kettle', 'names', ['glockenwärts.com']];
        yield 'a mailbox' => ['gudrun@', 'names', ['glockenwärts.com']];
        yield 'misspelt' => ['quayside-teatre', 'alike', ['quayside-theatre.com']];
        yield 'two letters, from the beginning' => ['qu', 'names', ['quayside-theatre.com']];
        yield 'an account number' => ['51877', 'accounts', ['Skerry Registrations 51877']];
        yield 'a login' => ['login-40718', 'accounts', ['Skerry Registrations 40718']];
        yield 'a client' => ['bell found', 'clients', ['Wickerby Bell Foundry']];
        yield 'a client misspelt' => ['wikerby foundrey', 'clients', ['Wickerby Bell Foundry']];
        yield 'a registrar' => ['skerry', 'registrars', ['Skerry Registrations']];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('typed')]
    public function test_it_finds(string $text, string $kind, array $expected): void
    {
        self::assertSame($expected, self::found($text)[$kind] ?? []);
    }

    public function test_what_nothing_answers_to_finds_nothing(): void
    {
        foreach (['', '   ', '%', '_', "\0", 'qzxv jjq', str_repeat('ü', 5000)] as $text) {
            self::assertSame([], self::found($text), $text);
        }
        self::assertArrayNotHasKey('names', self::found('ay'));
    }

    public function test_a_name_in_full_goes_to_its_folio_and_a_part_to_a_page(): void
    {
        $this->actingAs($this->house->reader)->get('/find?q=Quayside-Theatre.com')->assertRedirect('/names/quayside-theatre.com');
        $this->get('/find?q=quayside')->assertOk()->assertSee('quayside-theatre.com')->assertSee('All names with');
        $this->get('/find?q=nothing-at-all-here')->assertSee('Nothing matches');
        $this->get('/find?found=only&q=theatre')->assertOk()->assertDontSee('<html', false)->assertSee('theatre-tickets.com');
        $this->get('/find')->assertOk();
        $this->get('/find?q[]=x')->assertOk();
    }
}
