<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Registrar;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What a registrar's form takes of how it is reached and how its receivers accept, and what the page then says. */
final class RegistrarTermsTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->actingAs($this->house->steward);
    }

    /**
     * @param  array<string, mixed>  $otherwise
     * @return array<string, mixed>
     */
    private function form(array $otherwise = []): array
    {
        return $otherwise + [
            'name' => 'Skerry Registrations',
            'receiver_by' => 'number_login',
            'confirms' => 'receiver',
            'accept_days' => 14,
            'lot_size' => 500,
            'handover_hold_days' => 0,
            'charge_lead_days' => 7,
            'version' => 1,
            'link' => 'slip',
            'accepts_by' => 'page',
        ];
    }

    private function path(): string
    {
        return "/registrars/{$this->house->skerry->id}";
    }

    public function test_by_wire_with_its_gate_its_limit_and_who_stands_behind_it(): void
    {
        $this->put(
            $this->path(),
            $this->form([
                'link' => 'wire',
                'gate' => 'epp.skerry.example:700',
                'gate_a_minute' => '120',
                'behind' => " Anchorage Services;990718,\nSKERRY, SKERRY ",
            ]),
        )
            ->assertSessionHasNoErrors()
            ->assertRedirect($this->path());
        $saved = $this->house->skerry->refresh();
        self::assertSame(
            ['wire', 'epp.skerry.example:700', 120, ['Anchorage Services', '990718', 'SKERRY']],
            [$saved->link, $saved->gate, $saved->gate_a_minute, $saved->behind],
        );
        $this->get($this->path())
            ->assertSee('By wire')
            ->assertSee('epp.skerry.example:700')
            ->assertSee('120 commands a minute at most')
            ->assertSee('Anchorage Services, 990718, SKERRY');
        // The form shows again what was kept.
        $this->get("{$this->path()}/edit")
            ->assertSee('value="epp.skerry.example:700"', false)
            ->assertSee('value="120"', false)
            ->assertSee('Anchorage Services, 990718, SKERRY');
    }

    public function test_agreements_are_named_with_their_addresses(): void
    {
        $typed = " Registration agreement   https://skerry.example/terms?v=2 \r\n\nTerms of .uk https://registry.example/uk";
        $this->put($this->path(), $this->form(['agreements' => $typed]))->assertSessionHasNoErrors();
        self::assertSame([
            ['name' => 'Registration agreement', 'address' => 'https://skerry.example/terms?v=2'],
            ['name' => 'Terms of .uk', 'address' => 'https://registry.example/uk'],
        ], $this->house->skerry->refresh()->agreements);
        $this->get($this->path())->assertSee('href="https://skerry.example/terms?v=2"', false)->assertSee('Terms of .uk');
        $this->get("{$this->path()}/edit")->assertSee("Registration agreement https://skerry.example/terms?v=2\nTerms of .uk", false);
    }

    #[TestWith(['https://skerry.example/terms'])]
    #[TestWith(['Terms http://skerry.example/terms'])]
    #[TestWith(['Terms javascript:alert(1)'])]
    #[TestWith(["Terms https://skerry.example/terms\nof the registry"])]
    #[TestWith(['Terms https://'])]
    #[TestWith(['Terms https://%%%'])]
    public function test_what_names_no_agreement_is_refused(string $typed): void
    {
        $this->put($this->path(), $this->form(['agreements' => $typed]))->assertSessionHasErrors('agreements');
        self::assertSame([], $this->house->skerry->refresh()->agreements);
    }

    public function test_by_bridge_and_accepted_by_letter(): void
    {
        $this->put(
            $this->path(),
            $this->form(['link' => 'bridge', 'gate' => 'bridge.oriel-names.example:443', 'accepts_by' => 'letter']),
        )->assertSessionHasNoErrors();
        $this->get($this->path())
            ->assertSee('By bridge')
            ->assertSee('no limit is known')
            ->assertSee('by answering our letter, before anything moves');
        self::assertTrue($this->house->skerry->refresh()->handoverTerms()->acceptsByLetter);
    }

    /** @param  array<string, mixed>  $said */
    #[TestWith(['gate', ['link' => 'wire']])]
    #[TestWith(['gate', ['link' => 'bridge', 'gate' => '']])]
    #[TestWith(['gate', ['link' => 'wire', 'gate' => 'epp.skerry.example']])]
    #[TestWith(['gate', ['link' => 'wire', 'gate' => 'https://epp.skerry.example:700']])]
    #[TestWith(['gate', ['link' => 'wire', 'gate' => "epp.skerry.example:700\nx"]])]
    #[TestWith(['link', ['link' => 'pigeon']])]
    #[TestWith(['accepts_by', ['accepts_by' => 'telephone']])]
    #[TestWith(['gate_a_minute', ['gate_a_minute' => '0']])]
    #[TestWith(['gate_a_minute', ['gate_a_minute' => 'many']])]
    #[TestWith(['late_until_days', ['late_until_days' => '10', 'plain_after_days' => '20']])]
    public function test_what_can_not_be_is_refused_and_kept_in_the_form(string $field, array $said): void
    {
        $this->from("{$this->path()}/edit")
            ->put($this->path(), $this->form($said))
            ->assertRedirect("{$this->path()}/edit")
            ->assertSessionHasErrors($field)
            ->assertSessionHasInput('name', 'Skerry Registrations');
        self::assertSame(['slip', null], [$this->house->skerry->refresh()->link, $this->house->skerry->gate]);
    }

    public function test_the_database_keeps_these_rules_too(): void
    {
        foreach (["link = 'wire', gate = NULL", "accepts_by = 'telephone'", 'gate_a_minute = 0', "gate = 'no port'"] as $change) {
            try {
                DB::transaction(fn () => DB::update("UPDATE registrars SET {$change}"));
                self::fail("{$change} was taken.");
            } catch (QueryException $e) {
                self::assertSame('23514', $e->getCode());
            }
        }
        self::assertSame(1, Registrar::query()->count());
    }
}
