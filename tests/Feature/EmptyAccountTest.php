<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Names\GatherNames;
use App\Models\Account;
use App\Models\Extra;
use App\Models\Registration;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** All of an account, gathered for one deed. */
final class EmptyAccountTest extends TestCase
{
    private House $house;

    private Account $full;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->full = $this->house->account('E-1', null);
        foreach (['ash.com', 'beech.com', 'cedar.co.uk'] as $name) {
            $this->house->name($name, $this->full);
        }
        $this->house->name('elder.com', $this->house->ours);
        $this->actingAs($this->house->clerk);
    }

    #[TestWith(['hand-over', 'Hand over 3 names'])]
    #[TestWith(['transfer', '3 names'])]
    #[TestWith(['plan', 'Plan the transfer of 3 names'])]
    #[TestWith(['anything', 'Hand over 3 names'])]
    public function test_all_of_it_and_nothing_else(string $way, string $seen): void
    {
        $this->followingRedirects()
            ->post("/accounts/{$this->full->id}/empty", ['way' => $way])
            ->assertOk()
            ->assertSee($seen)
            ->assertDontSee('elder.com');
    }

    public function test_the_page_says_what_is_in_it(): void
    {
        $name = $this->house->name('fir.com', $this->full);
        foreach ([null, Instant::of('2026-01-01')] as $over) {
            Extra::query()->create([
                'registration_id' => Registration::query()->where('name_id', $name->id)->sole()->id,
                'kind' => 'mail',
                'ended_on' => $over,
            ]);
        }
        $this->get("/accounts/{$this->full->id}")
            ->assertSee('Empty this account')
            ->assertSee('It holds 4 names.')
            ->assertSee('One extra would end with a transfer.');
        $this->get('/accounts/'.$this->house->account('E-2', null)->id)->assertDontSee('Empty this account');
        $this->actingAs($this->house->reader)
            ->get("/accounts/{$this->full->id}")
            ->assertDontSee('Empty this account');
        $this->post("/accounts/{$this->full->id}/empty", ['way' => 'plan'])->assertForbidden();
    }

    public function test_what_does_not_fit_is_told(): void
    {
        $this->app->when(GatherNames::class)->needs('$limit')->give(fn (): int => 2);
        $this->post("/accounts/{$this->full->id}/empty", ['way' => 'plan'])
            ->assertSessionHas('told', 'One more did not fit: take it in a second lot.');
        $this->post("/accounts/{$this->full->id}/empty", ['way' => ['plan']])->assertRedirect();
    }
}
