<?php

declare(strict_types=1);

namespace Tests\Standin;

use Acre\Wire\Mail\MailLetter;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Standin\Control\Place;
use Standin\Control\Weather;
use Standin\Post\Habit;
use Standin\Post\Letter;
use Standin\Post\LetterPages;
use Standin\Post\Mailbox;
use Standin\Post\PopSession;
use Standin\Post\SmtpSession;
use Standin\World;

/** The simulated post without a socket: the order of commands and the codes of RFC 5321, the mailboxes of RFC 1939, and every habit. */
final class PostTest extends TestCase
{
    private World $world;

    protected function setUp(): void
    {
        $this->world = (new Gatehouse())->world;
    }

    private function smtp(): SmtpSession
    {
        return new SmtpSession($this->world->post, fn (): Weather => Weather::now($this->world->store, Place::Post));
    }

    /** @return list<int> the codes of the answers to lines, 0 where none is due */
    private function say(SmtpSession $session, string ...$lines): array
    {
        return array_values(array_map(fn (string $line): int => (int) substr($session->line($line), 0, 3), $lines));
    }

    private function deliver(string $to, string $body = 'Good day', string $from = 'a@a.example'): int
    {
        $codes = $this->say(
            $this->smtp(),
            'EHLO here',
            "MAIL FROM:<{$from}>",
            "RCPT TO:<{$to}>",
            'DATA',
            'Subject: A name',
            'Message-ID: <one@a.example>',
            '',
            $body,
            '.',
        );

        return $codes[2] === 250 ? $codes[count($codes) - 1] : $codes[2];
    }

    /** @return list<string> */
    private function box(string $mailbox): array
    {
        return array_map(fn (Letter $letter): string => $letter->raw, $this->world->store->letters->of($mailbox));
    }

    /** @param  list<string>  $lines */
    #[TestWith([['MAIL FROM:<a@a.example>'], 503])]
    #[TestWith([['EHLO'], 501])]
    #[TestWith([['EHLO here', 'RCPT TO:<b@b.example>'], 503])]
    #[TestWith([['EHLO here', 'MAIL a@a.example'], 501])]
    #[TestWith([['EHLO here', 'MAIL FROM:<a@a.example>', 'MAIL FROM:<a@a.example>'], 503])]
    #[TestWith([['EHLO here', 'MAIL FROM:<a@a.example> SIZE=100', 'DATA'], 554])]
    #[TestWith([['EHLO here', 'MAIL FROM:<a@a.example> SIZE=99999999999999999999'], 552])]
    #[TestWith([['EHLO here', 'MAIL FROM:<> BODY=8BITMIME SIZE=2000001', 'MAIL FROM:<> SIZE=2000000'], 250])]
    #[TestWith([['EHLO here', 'DATA'], 503])]
    #[TestWith([['EHLO here', 'MAIL FROM:<>', 'RCPT TO:<b>'], 501])]
    #[TestWith([['HELO here', 'BURL x'], 500])]
    #[TestWith([['EHLO here', 'MAIL FROM:<a@a.example>', 'RSET', 'MAIL FROM:<a@a.example>'], 250])]
    #[TestWith([['NOOP'], 250])]
    #[TestWith([['QUIT'], 221])]
    public function test_each_command_has_its_time_and_its_code(array $lines, int $last): void
    {
        $codes = $this->say($this->smtp(), ...$lines);
        self::assertSame($last, $codes[count($codes) - 1]);
    }

    public function test_a_line_that_is_too_long_is_refused(): void
    {
        self::assertSame([500], $this->say($this->smtp(), str_repeat('x', 1_001)));
    }

    public function test_dots_that_begin_a_line_come_through(): void
    {
        self::assertSame(250, $this->deliver('b@b.example', '..hidden'));
        self::assertStringContainsString("\r\n.hidden\r\n", $this->box('b@b.example')[0]);
    }

    public function test_a_full_disk_takes_nothing_and_says_so_for_now(): void
    {
        Weather::DiskFull->set($this->world->store, Place::Post, 1);
        self::assertSame([452, []], [$this->deliver('b@b.example'), $this->box('b@b.example')]);
        self::assertSame(250, $this->deliver('b@b.example'));
    }

    public function test_mailboxes_have_their_habits(): void
    {
        foreach (
            [
                ['no@b.example', Habit::Unknown, ''],
                ['grey@b.example', Habit::Greylists, ''],
                ['full@b.example', Habit::Bounces, ''],
                ['fwd@b.example', Habit::Forwards, 'end@b.example'],
                ['loop@b.example', Habit::Forwards, 'loop@b.example'],
            ] as [$address, $habit, $to]
        ) {
            $this->world->store->letters->putMailbox(new Mailbox($address, $habit, $to));
        }
        self::assertSame(550, $this->deliver('no@b.example'));
        self::assertSame([451, 250], [$this->deliver('grey@b.example'), $this->deliver('grey@b.example')]);
        self::assertSame(451, $this->deliver('grey@b.example', from: 'other@a.example'), 'a new sender is new');
        self::assertSame(250, $this->deliver('fwd@b.example'));
        self::assertCount(1, $this->box('end@b.example'));
        self::assertSame(250, $this->deliver('loop@b.example'), 'a loop ends');
        self::assertSame([250, []], [$this->deliver('full@b.example'), $this->box('full@b.example')]);
        $report = MailLetter::read($this->box('a@a.example')[0])->report;
        self::assertSame(['one@a.example', 'full@b.example', true], [$report?->letter, $report?->recipient, $report?->isEnd()]);
        self::assertSame(250, $this->deliver('full@b.example', from: 'x@x.example'));
    }

    public function test_what_comes_back_never_comes_back_again(): void
    {
        $this->world->store->letters->putMailbox(new Mailbox('full@b.example', Habit::Bounces));
        self::assertSame(
            [250, 250, 250, 354, 0, 0, 0, 250],
            $this->say($this->smtp(), 'EHLO here', 'MAIL FROM:<>', 'RCPT TO:<full@b.example>', 'DATA', 'Subject: x', '', 'x', '.'),
        );
        self::assertSame([], $this->world->store->letters->latest(10));
    }

    public function test_a_mailbox_is_fetched_by_whoever_has_its_password(): void
    {
        $this->world->store->letters->putMailbox(new Mailbox('r@b.example', Habit::Reads, password: 'sea'));
        $this->deliver('r@b.example', '.. and a dot');
        $this->deliver('r@b.example', 'second');
        $pop = new PopSession($this->world->post, $this->world->store);
        self::assertStringStartsWith('-ERR', $pop->line('STAT'));
        self::assertStringStartsWith('-ERR', $pop->line('PASS sea'));
        $pop->line('USER R@b.example');
        self::assertStringStartsWith('-ERR', $pop->line('PASS lake'));
        self::assertStringStartsWith('+OK', $pop->line('PASS sea'));
        self::assertStringStartsWith('+OK 2 ', $pop->line('STAT'));
        self::assertStringContainsString("\r\n.. and a dot\r\n", $pop->line('RETR 1'));
        self::assertStringEndsWith("\r\n.\r\n", $pop->line('RETR 1'));
        self::assertStringStartsWith('+OK', $pop->line('DELE 1'));
        self::assertStringStartsWith('-ERR', $pop->line('RETR 1'));
        self::assertStringStartsWith('+OK 1 ', $pop->line('STAT'));
        self::assertCount(2, $this->box('r@b.example'), 'only QUIT removes');
        $pop->line('RSET');
        self::assertStringStartsWith('+OK 2 ', $pop->line('STAT'));
        $pop->line('DELE 2');
        $pop->line('QUIT');
        self::assertTrue($pop->closes);
        self::assertCount(1, $this->box('r@b.example'));
    }

    public function test_a_mailbox_that_nobody_fetches_opens_to_no_password(): void
    {
        $pop = new PopSession($this->world->post, $this->world->store);
        $pop->line('USER a@a.example');
        self::assertStringStartsWith('-ERR', $pop->line('PASS '));
        $pop->line('PASS x');
        $pop->line('PASS y');
        self::assertTrue($pop->closes, 'three guesses');
    }

    public function test_the_letterbox_shows_a_foreign_letter_where_it_can_do_nothing(): void
    {
        $this->world->post->write(
            'a@a.example',
            'b@b.example',
            'Look <here>',
            "See http://127.0.0.1/answer/x1.\n<script>alert(1)</script>",
        );
        $pages = new LetterPages($this->world, $this->world->post, 'k');
        self::assertStringContainsString('Look &lt;here&gt;', $pages->answer('/letters')->body);
        $one = $pages->answer('/letters/1');
        self::assertStringContainsString('sandbox="allow-popups allow-popups-to-escape-sandbox"', $one->body);
        self::assertStringContainsString('<a href="http://127.0.0.1/answer/x1" rel="noreferrer">', $one->body);
        $look = $pages->answer('/letters/1/look');
        self::assertStringContainsString("default-src 'none'", $look->headers['Content-Security-Policy']);
        self::assertStringContainsString('sandbox', $look->headers['Content-Security-Policy']);
        self::assertStringNotContainsString('<script>', $look->body);
        self::assertSame(
            ['text/plain; charset=utf-8', 404],
            [$pages->answer('/letters/1/raw')->type, $pages->answer('/letters/2')->status],
        );
        self::assertStringNotContainsString('Write back', $one->body, 'it says nowhere to');
        $this->world->post->take(
            'x@a.example',
            'b@b.example',
            "From: x@a.example\r\nReply-To: <back@a.example>\r\nMessage-ID: <7@a.example>\r\nSubject: Ask\r\n\r\nWell?\r\n",
        );
        $form = $pages->answer('/letters/2')->body;
        foreach (
            ['name=to value="back@a.example"', 'name=answers value="7@a.example"', 'name=from size=30 value="b@b.example"'] as $field
        ) {
            self::assertStringContainsString($field, $form);
        }
        $this->world->post->write('other@b.example', 'back@a.example', 'Re: Ask', 'Well.', '7@a.example');
        self::assertSame('7@a.example', MailLetter::read($this->world->store->letters->of('back@a.example')[0]->raw)->answers);
    }
}
