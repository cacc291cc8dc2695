<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Verification\AskToVerify;
use App\Models\Letter;
use App\Models\LetterKind;
use App\Queries\Letters\LetterTexts;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Letter templates: as they ship, and as a Steward writes them. */
final class LetterTextsTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House(['verifies_by' => 'house']);
        $this->actingAs($this->house->steward);
    }

    /** @return iterable<string, array{LetterKind}> */
    public static function kinds(): iterable
    {
        foreach (LetterKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_what_ships_says_what_it_must_and_nothing_that_nobody_fills_in(LetterKind $kind): void
    {
        $shipped = app(LetterTexts::class)->shipped($kind);
        self::assertSame([[], [], null], [$shipped->lacks($kind), $shipped->unknown($kind), $shipped->uneven()]);
        foreach ([1, 2] as $count) {
            $filled = $shipped->filled($count, array_fill_keys($kind->words(), 'x'));
            self::assertDoesNotMatchRegularExpression('/[{}|]|:[a-z]/', $filled->subject.$filled->body);
        }
        $page = $this->get("/letters/{$kind->value}")
            ->assertOk()
            ->assertSeeInOrder(['For one name', 'wickerby-bells.com', 'For three names', 'peal.org']);
        self::assertStringNotContainsString(
            ':house',
            strip_tags((string) preg_replace('~<form.*?</form>~s', '', (string) $page->getContent())),
        );
    }

    public function test_a_steward_looks_at_what_they_write_and_the_next_letter_says_it(): void
    {
        $typed = [
            'subject' => 'Bitte bestätigen: {:name|:count Namen}',
            'body' => "Guten Tag,\r\n\r\n:names\r\n\r\n{ein Name|:count Namen}, bis :by: :link",
            'version' => 1,
        ];
        $this->put('/letters/verification_first', $typed + ['act' => 'look'])
            ->assertOk()
            ->assertSeeInOrder(['Bitte bestätigen: wickerby-bells.com', 'Bitte bestätigen: 3 Namen', '3 Namen, bis 20 Oct 2026']);
        self::assertStringStartsWith(
            'Please confirm',
            app(LetterTexts::class)->of(LetterKind::VerificationFirst)->filled(2, [])->subject,
            'looked at, not saved',
        );
        $this->put('/letters/verification_first', $typed + ['act' => 'save'])->assertRedirect('/letters');
        $this->get('/letters')->assertSee('our own, since')->assertSee('Bitte bestätigen: 3 Namen');
        $this->house->name(
            'stage.com',
            facts: [
                'created_on' => Instant::of('2026-09-24'),
                'ends_on' => Instant::of('2027-09-24'),
                'registrant' => 'Quayside Theatre',
                'mailbox' => 'office@quay.example',
            ],
        );
        app(AskToVerify::class)->due();
        $letter = Letter::query()->where('kind', 'verification')->sole();
        self::assertSame(
            ['Bitte bestätigen: stage.com', "Guten Tag,\n\n  stage.com\n\nein Name, bis 9 Oct 2026: {link}"],
            [$letter->subject, $letter->body],
        );
        // Whoever saves second sees that somebody was first, and keeps what they typed.
        $this->from('/letters/verification_first')
            ->put('/letters/verification_first', ['subject' => 'Another'] + $typed + ['act' => 'save'])
            ->assertRedirect('/letters/verification_first')
            ->assertSessionHasErrors('version')
            ->assertSessionHasInput('subject', 'Another');
        $this->delete('/letters/verification_first')->assertRedirect();
        self::assertStringStartsWith('Please confirm', app(LetterTexts::class)->of(LetterKind::VerificationFirst)->subject);
        $this->get('/letters')->assertDontSee('our own, since');
    }

    public function test_a_text_that_could_not_be_answered_is_refused_with_what_is_wrong_and_kept_as_typed(): void
    {
        foreach (
            [
                ':names by :by' => 'It must contain :link',
                ':names :by :link :colour' => 'There is no placeholder :colour here',
                ':names :by :link {one}' => 'must be written {one|many}',
            ] as $body => $says
        ) {
            $this->from('/letters/verification_first')
                ->put('/letters/verification_first', ['subject' => 'x', 'body' => $body, 'version' => 1, 'act' => 'save'])
                ->assertRedirect('/letters/verification_first')
                ->assertSessionHasErrors('body')
                ->assertSessionHasInput('body', $body);
            $this->get('/letters/verification_first')->assertSee($says)->assertSee($body);
        }
        // A subject is one line, whatever was pasted.
        $this->put('/letters/verification_first', [
            'subject' => "two\nlines",
            'body' => ':names :by :link',
            'version' => 1,
            'act' => 'save',
        ])->assertSessionHasNoErrors();
        self::assertSame('two lines', app(LetterTexts::class)->of(LetterKind::VerificationFirst)->subject);
        $this->delete('/letters/verification_first')->assertRedirect();
        $this->get('/letters/paint')->assertNotFound();
        foreach ([$this->house->reader, $this->house->clerk] as $other) {
            $this->actingAs($other)->get('/letters')->assertOk()->assertDontSee('letters/verification_first');
            $this->put('/letters/verification_first', [])->assertForbidden();
            $this->get('/letters/verification_first')->assertForbidden();
        }
    }
}
