<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Wire\Mail\DeliveryReport;
use Acre\Wire\Mail\MailLetter;
use App\Models\Letter;
use App\Outside\Post\DeliveryOutcome;
use App\Outside\Post\Post;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\Feature\Worldly;
use Tests\TestCase;

/** Mail held against programs of others: Python's smtplib, poplib and email, and curl; and against the examples of RFC 3464. */
final class MailReferenceTest extends TestCase
{
    use Worldly;

    private static function python(string $program, string $input = ''): string
    {
        $process = new Process(
            ['/usr/bin/python3', '-'],
            null,
            ['PYTHONIOENCODING' => 'utf-8'] + self::ports(),
            "import sys, os, ssl, json\n{$program}",
            60,
        );
        if ($input !== '') {
            $process->setEnv(['GIVEN' => base64_encode($input), 'PYTHONIOENCODING' => 'utf-8'] + self::ports());
        }
        $process->mustRun();

        return $process->getOutput();
    }

    /** @return array<string, string> */
    private static function ports(): array
    {
        return [
            'AUTHORITY' => config()->string('outside.authority'),
            'POST' => (string) getenv('WORLD_POST_PORT'),
            'POP' => (string) getenv('WORLD_POP_PORT'),
        ];
    }

    /** smtplib speaks to the simulated post, poplib fetches what came; both refuse a certificate that nobody vouches for. */
    public function test_smtplib_and_poplib_understand_the_post(): void
    {
        $this->world()->add([
            'names' => [],
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'mailboxes' => [
                ['address' => 'python@letters.example', 'habit' => 'reads', 'password' => 'sea'],
                ['address' => 'none@letters.example', 'habit' => 'is not known'],
                ['address' => 'full@letters.example', 'habit' => 'bounces'],
            ],
        ]);
        $this->world->weather('fair', 0, 'the post');
        $told = self::python(
            <<<'PY'
            import smtplib, poplib, email, email.message
            trusted = ssl.create_default_context(cafile=os.environ['AUTHORITY'])
            def letter(to):
                one = email.message.EmailMessage()
                one['From'], one['To'], one['Subject'], one['Message-ID'] = 'python@letters.example', to, 'Grüße', '<p1@letters.example>'
                one.set_content('.a dot first\nGlockenwärts\n')
                return one
            smtp = smtplib.SMTP_SSL('127.0.0.1', int(os.environ['POST']), context=trusted)
            said = []
            said.append(smtp.ehlo()[0])
            said.append(smtp.has_extn('8bitmime'))
            smtp.send_message(letter('python@letters.example'))
            try:
                smtp.send_message(letter('none@letters.example'))
            except smtplib.SMTPRecipientsRefused as refused:
                said.append(refused.recipients['none@letters.example'][0])
            smtp.send_message(letter('full@letters.example'))
            said.append(smtp.quit()[0])
            pop = poplib.POP3_SSL('127.0.0.1', int(os.environ['POP']), context=trusted)
            pop.user('python@letters.example'); pop.pass_('sea')
            said.append(pop.stat()[0])
            mine, report = [email.message_from_bytes(b'\r\n'.join(pop.retr(n)[1]), policy=email.policy.default) for n in (1, 2)]
            said.append(mine['Subject']); said.append(mine.get_body().get_content())
            status = [part for part in report.walk() if part.get_content_type() == 'message/delivery-status'][0]
            said.append([block.get('Action') for block in status.get_payload() if block.get('Action')])
            pop.dele(1); pop.quit()
            try:
                smtplib.SMTP_SSL('127.0.0.1', int(os.environ['POST']), context=ssl.create_default_context())
            except ssl.SSLCertVerificationError:
                said.append('not trusted')
            print(json.dumps(said))
            PY
            ,
        );
        self::assertSame(
            [250, true, 550, 221, 2, 'Grüße', ".a dot first\r\nGlockenwärts", ['failed'], 'not trusted'],
            json_decode($told, true),
        );
        self::assertCount(1, $this->world->letters('python@letters.example'), 'what was marked is gone');
    }

    /** curl's own SMTP client. */
    public function test_curl_gives_a_letter_to_the_post(): void
    {
        $this->world()->weather('fair', 0, 'the post');
        $ports = self::ports();
        $process = new Process(
            [
                'curl',
                '-sS',
                '--cacert',
                $ports['AUTHORITY'],
                '--mail-from',
                'a@letters.example',
                '--mail-rcpt',
                'curl@letters.example',
                '--upload-file',
                '-',
                "smtps://127.0.0.1:{$ports['POST']}",
            ],
            null,
            null,
            "Subject: By curl\r\n\r\n.dot\r\n",
        );
        $process->mustRun();
        self::assertSame(
            ['By curl', '.dot'],
            array_map(
                trim(...),
                array_map(
                    fn (MailLetter $one): string => $one->subject,
                    array_map(MailLetter::read(...), $this->world->letters('curl@letters.example')),
                ),
            ) + [1 => trim(MailLetter::read($this->world->letters('curl@letters.example')[0])->text)],
        );
    }

    /** Python's email package reads the letters that we send as we meant them. */
    public function test_a_letter_of_ours_is_read_by_others_as_it_was_meant(): void
    {
        $this->world()->weather('fair', 0, 'the post');
        $letter = new Letter([
            'kind' => 'acceptance',
            'mailbox' => 'others@letters.example',
            'subject' => 'Ein Name für Sie: glockenwärts.com',
            'body' => '',
        ]);
        $body = "Good day,\n\nglockenwärts.com & <others>\n.a dot\n\nhttps://a.example/answer/x\n";
        self::assertSame(DeliveryOutcome::Taken, app(Post::class)->send($letter, 'one.two@a.example', $body)->fate);
        $raw = $this->world->letters('others@letters.example')[0];
        $read = json_decode(
            self::python(
                <<<'PY'
                import base64, email, email.policy
                one = email.message_from_bytes(base64.b64decode(os.environ['GIVEN']), policy=email.policy.default)
                print(
                    json.dumps([
                        one['Subject'],
                        one['Message-ID'],
                        one['To'].addresses[0].addr_spec,
                        one.get_body(('plain',)).get_content(),
                        one.get_body(('html',)).get_content(),
                        len(one.defects),
                    ]),
                )
                PY
                ,
                $raw,
            ),
            true,
        );
        self::assertIsArray($read);
        self::assertSame(
            [$letter->subject, '<one.two@a.example>', 'others@letters.example', rtrim($body), 0],
            [$read[0], $read[1], $read[2], rtrim(str_replace("\r", '', is_string($read[3]) ? $read[3] : '')), $read[5]],
        );
        self::assertStringContainsString('glockenwärts.com &amp; &lt;others&gt;', is_string($read[4]) ? $read[4] : '');
    }

    /** Letters that Python's email package writes, in every charset and coding that it knows, are read here as it wrote them. */
    public function test_letters_that_others_wrote_are_read_as_they_were_meant(): void
    {
        $written = json_decode(
            self::python(
                <<<'PY'
                import base64, email, email.message, email.policy, random
                random.seed(20261006)
                words = ['Glocke', 'bell', 'château', 'číslo', '.dot', '=3D', 'naïve', '—', 'ähm', 'From here']
                made = []
                for n in range(120):
                    one = email.message.EmailMessage()
                    text = '\n'.join(
                        ' '.join(random.choice(words) for _ in range(random.randint(1, 30))) for _ in range(random.randint(1, 6))
                    ) + '\n'
                    subject = ' '.join(random.choice(words) for _ in range(random.randint(1, 14)))
                    one['Subject'], one['From'], one['To'], one['Message-ID'] = subject, 'a@a.example', 'b@b.example', f'<{n}@a.example>'
                    one.set_content(text, charset='utf-8', cte=random.choice(['quoted-printable', 'base64', '8bit']))
                    if random.random() < 0.5:
                        one.add_alternative('<p>' + text + '</p>', subtype='html')
                    if random.random() < 0.2:
                        one.add_attachment(b'\x00\x01', maintype='application', subtype='octet-stream', filename='x')
                    # As it reads its own writing: in a folded subject it may lose a blank.
                    again = email.message_from_bytes(one.as_bytes(), policy=email.policy.default)['Subject']
                    made.append([base64.b64encode(one.as_bytes()).decode(), again, text, n])
                print(json.dumps(made))
                PY
                ,
            ),
            true,
        );
        self::assertIsArray($written);
        self::assertCount(120, $written);
        foreach ($written as $one) {
            self::assertTrue(is_array($one) && is_string($one[0]) && is_int($one[3]));
            $letter = MailLetter::read((string) base64_decode($one[0], true));
            self::assertSame(
                [$one[1], $one[2], "{$one[3]}@a.example"],
                [$letter->subject, str_replace("\r\n", "\n", $letter->text), $letter->id],
            );
        }
    }

    /** RFC 3464, appendix E: the published examples of reports. */
    #[Group('published')]
    public function test_the_examples_of_rfc_3464_are_read(): void
    {
        preg_match_all('~^ *content-type: message/delivery-status\n+(.*?)^ *--~ms', Published::whole(3464), $found);
        $read = array_map(function (string $part): array {
            $report = DeliveryReport::of((string) preg_replace('/^   /m', '', $part), '');

            return [$report->recipient, $report->action, $report->status, $report->words];
        }, $found[1]);
        self::assertSame(
            [
                ['louisl@larry.slip.umd.edu', 'failed', '4.0.0', '426 connection timed out'],
                // Of several, the first that failed.
                ['arathib@vnet.ibm.com', 'failed', '5.0.0', "550 'arathib@vnet.IBM.COM' is not a registered gateway user"],
                ['nair_s', 'failed', '5.0.0', ''],
                ['thomas@de-montfort.ac.uk', 'delayed', '4.0.0', ''],
            ],
            $read,
        );
    }
}
