<?php

declare(strict_types=1);

namespace App\Actions\Post;

use Acre\Core\Time\Instant;
use App\Actions\Links\IssueLink;
use App\Actions\Links\LinkOf;
use App\Jobs\SendPost;
use App\Models\Letter;
use App\Models\LetterKind;
use App\Models\LinkPurpose;
use App\Models\Secret;
use App\Queries\Letters\LetterTexts;
use App\Support\Dates;
use App\Support\HouseSettings;
use App\Support\Language;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/**
 * Writes a letter to somebody outside the house: its text, the names that it lists, and its link, which stands sealed until the letter is
 * sent. In the caller's transaction.
 */
final readonly class WriteLetter
{
    /** Names that a letter lists; the page behind its link shows all. */
    private const LISTED = 40;

    /** Seconds. */
    private const SHORTEST = 86_400;

    /** Days in which an answer is wanted of whoever is written to once more after the day that was named: the house's own choice. */
    private const ANEW = 7;

    public function __construct(
        private Connection $database,
        private LetterTexts $texts,
        private IssueLink $links,
        private HouseSettings $house,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    /**
     * One that asks for an answer behind its link; the link in the previous letter is no longer valid.
     *
     * @param  list<string>  $names  as people read them
     * @param  Instant  $by  the day by which an answer is wanted
     * @param  int  $late  days after it for which the link is good
     * @param  string  $about  what tells this asking from others
     * @param  array<string, string>  $said  what else its text fills in
     * @param  Language  $language  in which it is written
     */
    public function asking(
        LetterKind $kind,
        LinkPurpose $purpose,
        LinkOf $of,
        string $mailbox,
        array $names,
        Instant $by,
        int $late,
        string $about,
        array $said = [],
        Language $language = Language::English,
    ): void {
        $by = $this->clock->isPast($by) ? $this->clock->today()->plusDays(self::ANEW) : $by;
        $link = $this->links->handle(
            $purpose,
            $mailbox,
            $of,
            max(self::SHORTEST, $by->plusDays($late)->epoch - $this->clock->now()->epoch),
        );
        $secret = Secret::query()->create([
            'kind' => 'link',
            'about' => "{$of->key} {$of->columns[$of->key]}",
            'value' => $link,
        ]);
        $this->write(
            $kind,
            $mailbox,
            $about,
            count($names),
            $said + [
                'names' => $language->speak(fn (): string => $this->listed($names)),
                'name' => $names[0] ?? '',
                'by' => $language->speak(fn (): string => Dates::full($by->toDay())),
                'link' => Letter::LINK,
            ],
            ['secret_id' => $secret->id] + array_diff_key($of->columns, ['docket_version' => true]),
            $language,
        );
    }

    /**
     * One that only tells something.
     *
     * @param  int  $count  of names
     * @param  array<string, string>  $said
     */
    public function telling(LetterKind $kind, int $mailboxId, string $mailbox, int $count, string $about, array $said): void
    {
        $this->write($kind, $mailbox, $about, $count, $said, ['mailbox_id' => $mailboxId]);
    }

    /**
     * One to a client, that only tells something.
     *
     * @param  list<string>  $names  as people read them
     */
    public function toClient(
        LetterKind $kind,
        int $clientId,
        string $mailbox,
        array $names,
        string $about,
        Language $language,
    ): Letter {
        $said = ['names' => $language->speak(fn (): string => $this->listed($names))];

        return $this->write($kind, $mailbox, $about, count($names), $said, ['client_id' => $clientId], $language);
    }

    /**
     * @param  array<string, string>  $said
     * @param  array<string, int|null>  $columns
     */
    private function write(
        LetterKind $kind,
        string $mailbox,
        string $about,
        int $count,
        array $said,
        array $columns,
        Language $language = Language::English,
    ): Letter {
        $now = $this->clock->now();
        $text = $this->texts->write($kind, $count, ['house' => $this->house->name()] + $said, $language);
        $letter = Letter::query()->create(
            [
                'kind' => $kind->column(),
                'mailbox' => $mailbox,
                'written_on' => $now,
                'day' => $now->date(),
                'about' => $about,
                'subject' => $text->subject,
                'body' => $text->body,
            ] + $columns,
        );
        $this->database->afterCommit(fn () => SendPost::dispatch());

        return $letter;
    }

    /** @param  list<string>  $names */
    private function listed(array $names): string
    {
        $some = implode("\n", array_map(fn (string $name): string => "  {$name}", array_slice($names, 0, self::LISTED)));

        return count($names) > self::LISTED
            ? $some."\n".$this->words->say('letters.more', ['more' => (string) (count($names) - self::LISTED)])
            : $some;
    }
}
