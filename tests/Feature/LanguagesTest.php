<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Ending\WriteEndLetters;
use App\Jobs\SendPost;
use App\Models\Docket;
use App\Models\Letter;
use App\Models\LetterKind;
use App\Models\Name;
use App\Models\Secret;
use App\Queries\Letters\LetterTexts;
use App\Support\Language;
use App\Support\TradeClock;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\File;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Clients are written to, and answer, in their own language; the house reads English. */
final class LanguagesTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        Bus::fake([SendPost::class]);
        $this->actingAs($this->house->steward);
        foreach (['bell.com', 'chime.com'] as $name) {
            $this->house->name($name, facts: ['ends_on' => Instant::of('2026-11-02'), 'intent' => 'ask_client']);
        }
    }

    private function speaks(Language $language): void
    {
        $client = $this->house->foundry->refresh();
        $this->put("/clients/{$client->id}", [
            'name' => $client->name,
            'mailbox' => $client->mailbox,
            'language' => $language->value,
            'end_letters' => '1',
            'version' => $client->version,
        ])->assertSessionHasNoErrors();
    }

    public function test_a_client_is_asked_and_answers_in_german(): void
    {
        $this->speaks(Language::German);
        $this->post("/clients/{$this->house->foundry->id}/ask", [
            'mailbox' => 'ledger@wickerby-bells.com',
            'by' => '2026-10-20',
            'months' => '1',
            'names' => Name::query()->orderBy('id')->pluck('id')->all(),
        ])->assertSessionHasNoErrors();
        $letter = Letter::query()->sole();
        self::assertSame('Welche Ihrer Domainnamen möchten Sie behalten? Bitte antworten Sie bis 20.10.2026', $letter->subject);
        self::assertStringContainsString('bell.com, läuft am 2.11.2026 ab, £9.90 für ein Jahr', $letter->body);
        self::assertStringContainsString('diese 2 Domainnamen laufen bald ab', $letter->body);
        $this->app['auth']->guard()->logout();
        $address = (string) parse_url(Secret::query()->where('kind', 'link')->latest('id')->firstOrFail()->value, PHP_URL_PATH);
        $this->get($address)
            ->assertOk()
            ->assertSee('<html lang="de">', false)
            ->assertSee('fragt: Welche dieser 2 Domainnamen möchten Sie behalten?')
            ->assertSeeInOrder(['Läuft ab am', 'bell.com', '2.11.2026', '2 Jahre behalten', 'auslaufen lassen']);
        $this->post($address, ['name' => []])->assertStatus(422)->assertSee('Bitte wählen Sie für jeden Namen eine Antwort.');
        $this->post($address, ['all' => '1'])->assertOk()->assertSee('verlängert 2 Namen für Sie.');
        // The house reads what they said in its own.
        $this->actingAs($this->house->steward)->get('/dockets/'.Docket::query()->sole()->id)->assertSee('Renew')->assertSee('2 Nov 2026');
    }

    public function test_letters_about_ends_are_in_french_with_its_days(): void
    {
        $this->speaks(Language::French);
        app(TradeClock::class)->set(Instant::of('2026-10-26T09:00:00Z'));
        app(WriteEndLetters::class)->handle();
        $letter = Letter::query()->sole();
        self::assertSame('2 noms de domaine expirent dans moins d’une semaine', $letter->subject);
        self::assertStringContainsString('bell.com, expire le 02/11/2026, £9.90 pour un an', $letter->body);
        self::assertSame('en', app()->getLocale());
    }

    public function test_the_house_writes_its_own_text_in_each_language(): void
    {
        $this->get('/letters/renewals_first?in=de')->assertSee('Deutsch')->assertSee('Welche Ihrer Domainnamen')->assertSee('Français');
        $this->get('/letters/acceptance?in=de')->assertDontSee('Deutsch')->assertSee('Hello');
        $text = ['subject' => 'Was soll bleiben?', 'body' => "Moin,\n\n:names\n\nBis :by: :link", 'version' => 1, 'act' => 'save'];
        $this->put('/letters/renewals_first', $text + ['in' => 'de'])->assertRedirect();
        $texts = app(LetterTexts::class);
        self::assertSame(
            ['Was soll bleiben?', 'Which of your domain names do you keep? Please answer by :by'],
            [
                $texts->of(LetterKind::RenewalsFirst, Language::German)->subject,
                $texts->of(LetterKind::RenewalsFirst)->subject,
            ],
        );
        $this->delete('/letters/renewals_first', ['in' => 'de'])->assertRedirect();
        self::assertStringStartsWith('Welche Ihrer', $texts->of(LetterKind::RenewalsFirst, Language::German)->subject);
    }

    /** Whatever is said in another language is said in full, with the same words to be filled in. */
    public function test_every_letter_to_a_client_is_in_every_language(): void
    {
        $texts = app(LetterTexts::class);
        foreach (Language::cases() as $language) {
            foreach (array_filter(LetterKind::cases(), fn (LetterKind $kind): bool => $kind->isToClient()) as $kind) {
                $written = $texts->shipped($kind, $language);
                self::assertSame([[], [], null], [$written->lacks($kind), $written->unknown($kind), $written->uneven()], $kind->value);
                self::assertSame($language === Language::English, $written->body === $texts->shipped($kind)->body, $language->value);
            }
            foreach (File::files(lang_path($language->value)) as $file) {
                $said = require $file->getPathname();
                $english = require lang_path("en/{$file->getFilename()}");
                self::assertIsArray($said);
                self::assertIsArray($english);
                self::assertSame(
                    [],
                    array_diff(array_keys(Arr::dot($said)), array_keys(Arr::dot($english))),
                    $file->getFilename(),
                );
            }
        }
        foreach ([Language::German, Language::French] as $language) {
            $said = require lang_path("{$language->value}/answers.php");
            $english = require lang_path('en/answers.php');
            self::assertIsArray($said);
            self::assertIsArray($english);
            self::assertSame(
                array_keys(Arr::dot((array) $english['renewals'])),
                array_keys(Arr::dot((array) $said['renewals'])),
            );
        }
    }

    #[TestWith(['es'])]
    #[TestWith([''])]
    #[TestWith(['../../etc'])]
    public function test_a_language_that_we_don_t_write_is_refused(string $odd): void
    {
        $client = $this->house->foundry->refresh();
        $this->put("/clients/{$client->id}", ['name' => $client->name, 'language' => $odd, 'version' => $client->version])
            ->assertSessionHasErrors('language');
        $this->get('/letters/renewals_first?in='.urlencode($odd))->assertOk()->assertSee('Which of your domain names');
    }
}
