<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Contacts\WriteYearly;
use App\Models\Letter;
use App\Models\Received;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** Letters that come from outside, and the yearly one that goes out. */
final class LettersReceivedTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->actingAs($this->house->clerk);
        Storage::fake();
    }

    public function test_a_letter_is_kept_with_names_day_and_file_and_falls_due_in_rounds(): void
    {
        $this->house->name('bell.com');
        $this->house->name('glockenwärts.com');
        $letter = [
            'kind' => 'dispute',
            'sender' => 'Panel of disputes',
            'about' => 'A complaint about <two> names',
            'received_on' => '2026-10-01',
            'answer_by' => '2026-10-21',
            'names' => "bell.com\nglockenwärts.com",
            'file' => UploadedFile::fake()->createWithContent('complaint.pdf', '%PDF'),
        ];
        $this->post('/received', ['names' => 'bell.com, nobody.com'] + $letter)
            ->assertSessionHasErrors(['names' => 'Not on the Roll: nobody.com.'])
            ->assertSessionHasInput('sender', 'Panel of disputes');
        $this->post('/received', ['answer_by' => '2026-09-30'] + $letter)->assertSessionHasErrors('answer_by');
        $this->post('/received', $letter)
            ->assertRedirect('/received')
            ->assertSessionHas('told', 'The letter from Panel of disputes is saved.');
        $this->get('/received')
            ->assertSeeInOrder([
                'One letter is waiting for an answer',
                'by 21 Oct 2026',
                'A dispute',
                'Panel of disputes',
                'bell.com',
                'complaint.pdf',
            ])
            ->assertSee('<two>')
            ->assertDontSee('<two>', false);
        $this->get('/rounds')->assertSeeInOrder(['Panel of disputes', 'a dispute must be answered', 'lost if not answered']);
        $this->get('/names/bell.com')->assertSee('A letter about it was received');
        $received = Received::query()->sole();
        $this->get("/received/{$received->id}/file")
            ->assertOk()
            ->assertHeader('X-Content-Type-Options', 'nosniff')
            ->assertHeader('Content-Type', 'application/octet-stream');
        $this->post("/received/{$received->id}/answer")->assertSessionHasErrors('answer');
        $this->post("/received/{$received->id}/answer", ['answer' => 'Answered by our lawyer on paper'])->assertSessionHas('told');
        $this->get('/received')->assertSee('No letters are waiting for an answer')->assertSee('Answered by our lawyer');
        $this->get('/rounds')->assertDontSee('Panel of disputes');
        $this->actingAs($this->house->reader)->post('/received', $letter)->assertForbidden();
    }

    public function test_once_a_year_each_mailbox_is_sent_all_its_names_and_data(): void
    {
        foreach (
            [
                'bell.com' => 'ledger@bells.example',
                'peal.org' => 'ledger@bells.example',
                'kelp.com' => 'tide@kelp.example',
            ] as $name => $mailbox
        ) {
            $this->house->name(
                $name,
                facts: [
                    'registrant' => str_contains($mailbox, 'bells') ? 'Wickerby Bell Foundry' : 'Sound Kelp Farm',
                    'mailbox' => $mailbox,
                ],
            );
        }
        self::assertSame([2, 0], [app(WriteYearly::class)->handle(), app(WriteYearly::class)->handle()], 'once a year');
        $letter = Letter::query()->where('mailbox', 'ledger@bells.example')->sole();
        self::assertSame(['yearly', 'Your yearly reminder: the record of your domain names'], [$letter->kind, $letter->subject]);
        foreach (['Wickerby Bell Foundry', 'ledger@bells.example', 'bell.com', 'peal.org', 'you need not do anything'] as $said) {
            self::assertStringContainsString($said, $letter->body);
        }
        self::assertStringNotContainsString('kelp.com', $letter->body);
    }

    public function test_two_registrants_of_one_mailbox_read_which_names_are_whose(): void
    {
        foreach (['bell.com' => 'Wickerby Bell Foundry', 'peal.org' => 'Gudrun Kettle'] as $name => $registrant) {
            $this->house->name($name, facts: ['registrant' => $registrant, 'mailbox' => 'ledger@bells.example']);
        }
        self::assertSame(1, app(WriteYearly::class)->handle());
        self::assertMatchesRegularExpression(
            '/Wickerby Bell Foundry\n  ledger@bells\.example\n\nIt is used for these names:\n\n  bell\.com\n\n  Gudrun Kettle\n  '
                .'ledger@bells\.example\n\n.*\n\n  peal\.org\n/',
            Letter::query()->sole()->body,
        );
    }
}
