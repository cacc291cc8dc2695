<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Note;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** Notes and files on a name, an account and a client. */
final class NotesTest extends TestCase
{
    public function test_a_note_stands_where_it_was_written(): void
    {
        $house = new House();
        $house->name('bell.com');
        $this->actingAs($house->clerk);
        foreach (
            [
                '/names/bell.com' => 'on the name',
                "/accounts/{$house->ours->id}" => 'on the account',
                "/clients/{$house->foundry->id}" => 'on the client',
            ] as $page => $text
        ) {
            $this->from($page)
                ->post($page.'/notes', ['note' => "{$text}\n<b>kept as text</b>"])
                ->assertRedirect();
            $this->get($page)->assertSee($text)->assertSee('<b>kept as text</b>')->assertSee('Clerk Tern');
        }
        $this->get('/names/bell.com')->assertDontSee('on the account');
        self::assertSame(3, Note::query()->count());
    }

    public function test_a_file_comes_back_as_it_was_sent_and_never_as_a_page(): void
    {
        Storage::fake();
        $house = new House();
        $house->name('bell.com');
        $this->actingAs($house->clerk)
            ->post('/names/bell.com/notes', [
                'file' => UploadedFile::fake()->createWithContent('deed of gift.html', '<script>alert(1)</script>'),
            ])
            ->assertSessionHasNoErrors();
        $note = Note::query()->sole();
        $answer = $this->get("/notes/{$note->id}/file")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/octet-stream')
            ->assertDownload('deed of gift.html');
        self::assertSame('<script>alert(1)</script>', $answer->streamedContent());
        $this->delete("/notes/{$note->id}");
        self::assertSame([], Storage::disk()->allFiles('notes'));
    }

    public function test_who_may(): void
    {
        $house = new House();
        $house->name('bell.com');
        $this->actingAs($house->reader)
            ->post('/names/bell.com/notes', ['note' => 'x'])
            ->assertForbidden();
        $this->actingAs($house->clerk)
            ->post('/names/bell.com/notes', ['note' => ' '])
            ->assertSessionHasErrors('note');
        $this->post('/names/bell.com/notes', ['note' => 'mine'])->assertSessionHasNoErrors();
        $note = Note::query()->sole();
        $this->actingAs($house->steward)
            ->delete("/notes/{$note->id}")
            ->assertForbidden();
        $this->actingAs($house->owner)
            ->delete("/notes/{$note->id}")
            ->assertRedirect();
        self::assertSame(0, Note::query()->count());
    }
}
