<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Mail\MailError;
use Acre\Wire\Mail\MailLetter;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Letters as mail servers and programs write them (RFC 5322, 2045, 2047, 3464), with invented contents. */
final class MailTest extends TestCase
{
    private const REPORT =
        "From: The post <postmaster@post.example>\r\nTo: <returns@a.example>\r\nSubject: Not delivered\r\nMIME-Version: "
            ."1.0\r\nContent-Type: multipart/report; report-type=delivery-status;\r\n boundary=\"mark\"\r\n\r\n".
        "--mark\r\nContent-Type: text/plain\r\n\r\nIt came back.\r\n\r\n--mark\r\nContent-Type: "
            ."message/delivery-status\r\n\r\nReporting-MTA: dns; post.example\r\n\r\n".
        "Original-Recipient: rfc822;tide@kelp.example\r\nFinal-Recipient: RFC822; tide@elsewhere.example\r\nAction: FAILED\r\nStatus: "
            ."5.1.1\r\nDiagnostic-Code: smtp; 550 5.1.1 There is no\r\n such mailbox\r\n\r\n".
        "--mark\r\nContent-Type: text/rfc822-headers\r\n\r\nReceived: by post.example\r\nMessage-ID: <letter-7@a.example>\r\nSubject: A "
            ."name\r\n\r\n--mark--\r\n";

    public function test_words_in_any_charset_and_coding_are_read(): void
    {
        $letter = MailLetter::read(
            "From: =?iso-8859-1?Q?K=FCster?= <kuester@a.example>\r\nTo: b@a.example\r\nSubject: =?UTF-8?B?R2xvY2tlbg==?=\r\n "
                ."=?UTF-8?Q?_w=C3=A4rts?=\r\nMessage-ID: <q.1@a.example>\r\nMIME-Version: 1.0\r\n".
                "Content-Type: multipart/alternative; boundary=z\r\n\r\n--z\r\nContent-Type: text/plain; "
                    ."charset=iso-8859-1\r\nContent-Transfer-Encoding: quoted-printable\r\n\r\nGl=FCck=\r\n auf\r\n--z\r\nContent-Type: "
                    ."text/html; charset=utf-8\r\nContent-Transfer-Encoding: base64\r\n\r\nPHA+R2zDvGNrPC9wPg==\r\n--z--\r\n",
        );
        self::assertSame(
            ['q.1@a.example', 'Küster <kuester@a.example>', 'b@a.example', 'Glocken wärts', 'Glück auf', '<p>Glück</p>', null],
            [$letter->id, $letter->from, $letter->to, $letter->subject, trim($letter->text), trim((string) $letter->html), $letter->report],
        );
    }

    public function test_a_report_says_which_letter_came_back_and_why(): void
    {
        $report = MailLetter::read(self::REPORT)->report;
        self::assertNotNull($report);
        self::assertSame(
            ['letter-7@a.example', 'tide@kelp.example', 'failed', '5.1.1', '550 5.1.1 There is no such mailbox', true],
            [$report->letter, $report->recipient, $report->action, $report->status, $report->words, $report->isEnd()],
        );
    }

    public function test_a_whole_letter_that_came_back_counts_like_its_headers(): void
    {
        $raw = str_replace(
            ['text/rfc822-headers', "Subject: A name\r\n\r\n"],
            ['message/rfc822', "Subject: A name\r\n\r\nMessage-ID: <not-this@a.example>\r\n\r\n"],
            self::REPORT,
        );
        self::assertSame('letter-7@a.example', MailLetter::read($raw)->report?->letter);
    }

    public function test_of_several_recipients_the_one_that_failed_counts(): void
    {
        $raw = str_replace(
            'Original-Recipient:',
            "Final-Recipient: rfc822; other@kelp.example\r\nAction: delivered\r\nStatus: 2.0.0\r\n\r\nOriginal-Recipient:",
            self::REPORT,
        );
        self::assertSame(
            ['tide@kelp.example', 'failed'],
            [MailLetter::read($raw)->report?->recipient, MailLetter::read($raw)->report?->action],
        );
    }

    #[TestWith(['delayed'])]
    #[TestWith(['delivered'])]
    #[TestWith(['relayed'])]
    public function test_what_is_only_late_is_no_end(string $action): void
    {
        self::assertFalse(MailLetter::read(str_replace('FAILED', $action, self::REPORT))->report?->isEnd());
    }

    public function test_a_letter_that_only_speaks_of_a_report_is_none(): void
    {
        self::assertNull(MailLetter::read(str_replace('multipart/report', 'multipart/mixed', self::REPORT))->report);
        self::assertNull(MailLetter::read("Subject: plain\r\n\r\nFinal-Recipient: rfc822; a@b.example\r\nAction: failed\r\n")->report);
    }

    /** RFC 5322 §3.6.4: which letter it answers, and §3.4: from whom; RFC 3834 §5: whether a machine wrote it. */
    public function test_an_answer_says_to_which_letter_and_from_whom(): void
    {
        $of = fn (string $more, string $from = 'Bo <Bo@A.example>'): MailLetter => MailLetter::read(
            "From: {$from}\r\nSubject: Re: yours\r\n{$more}\r\nYes\r\n",
        );
        $answer = $of("In-Reply-To: <letter-7@a.example>\r\n");
        self::assertSame(['letter-7@a.example', 'bo@a.example', false], [$answer->answers, $answer->sender(), $answer->isAutomatic]);
        self::assertSame([null, 'bo@a.example'], [$of('', 'bo@a.example')->answers, $of('', 'bo@a.example')->sender()]);
        foreach (['nobody', '', 'A <b c@d>', '<@a.example>'] as $from) {
            self::assertNull($of('', $from)->sender(), $from);
        }
        self::assertSame(
            [true, true, false],
            [
                $of("Auto-Submitted: auto-replied; x=y\r\n")->isAutomatic,
                $of("Auto-Submitted: auto-generated\r\n")->isAutomatic,
                $of("Auto-Submitted: no\r\n")->isAutomatic,
            ],
        );
    }

    public function test_what_is_too_long_is_not_read(): void
    {
        $this->expectException(MailError::class);
        $this->expectExceptionMessage('The letter has 101 bytes, and 100 at most are read.');
        MailLetter::read(str_repeat('x', 101), 100);
    }

    public function test_whatever_comes_is_read_or_empty_and_never_an_error(): void
    {
        $random = new Randomizer(new Mt19937(20261006));
        for ($round = 0; $round < 400; $round++) {
            $raw = self::REPORT;
            for ($cut = $random->getInt(1, 4); $cut > 0; $cut--) {
                $at = $random->getInt(0, max(0, strlen($raw) - 1));
                $raw = match ($random->getInt(0, 3)) {
                    0 => substr($raw, 0, $at),
                    1 => substr_replace($raw, $random->getBytes(3), $at, 0),
                    2 => substr_replace($raw, '', $at, $random->getInt(1, 40)),
                    default => $raw.substr($raw, $at),
                };
            }
            $letter = MailLetter::read($raw);
            self::assertTrue(mb_check_encoding($letter->subject.$letter->text.$letter->html.$letter->report?->words, 'UTF-8'));
        }
    }

    public function test_parts_within_parts_end(): void
    {
        $deep = "Content-Type: text/plain\r\n\r\nthe bottom\r\n";
        for ($level = 0; $level < 200; $level++) {
            $deep = "MIME-Version: 1.0\r\nContent-Type: multipart/mixed; "
                ."boundary=m{$level}\r\n\r\n--m{$level}\r\n{$deep}\r\n--m{$level}--\r\n";
        }
        self::assertSame('', MailLetter::read($deep)->text, 'so deep nothing is looked at');
    }
}
