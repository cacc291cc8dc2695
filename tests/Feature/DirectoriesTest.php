<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Name\DomainName;
use App\Outside\Directory\DirectoryAnswer;
use App\Outside\Directory\PublicDirectories;
use App\Outside\Reach\FailureReason;
use App\Outside\Reach\Fetch;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\RateLimit;
use Illuminate\Cache\RateLimiter;
use Illuminate\Support\Facades\Cache;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What directories may answer besides what is asked for (RFC 7480), from one that says what it is told to, over real sockets. */
final class DirectoriesTest extends TestCase
{
    use Scripted;

    private const BOOTSTRAP = 'bootstrap.example/dns.json';

    private const DOMAIN = 'rdap.harbour-registry.example/domain/bell.com';

    private const SERVICES = [
        'version' => '1.0',
        'publication' => '2026-10-06T09:00:00Z',
        'services' => [[['com'], ['https://rdap.harbour-registry.example/']]],
    ];

    private string $script;

    private PublicDirectories $directories;

    /** @var array<string, mixed> */
    private array $https = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->script = (string) tempnam(sys_get_temp_dir(), 'said');
        [$port, $textPort] = self::ports(2);
        $authority = config()->string('outside.authority');
        $this->starts('scripted.php', (string) $port, (string) $textPort, $this->script);
        $here = "127.0.0.1:{$port}";
        $hosts = new Hosts([
            'bootstrap.example' => $here,
            'rdap.harbour-registry.example' => $here,
            'rdap.skerry.example' => $here,
            'whois.trial.example' => "127.0.0.1:{$textPort}",
        ]);
        Cache::flush();
        $this->directories = new PublicDirectories(
            new Fetch($hosts, $authority, 2, 1, 20_000),
            $hosts,
            new RateLimit(Cache::store(), app(RateLimiter::class), 1_000),
            Cache::store(),
            'https://'.self::BOOTSTRAP,
            ['tern' => 'whois.trial.example'],
            1,
        );
        $this->says([self::BOOTSTRAP => [200, self::SERVICES]]);
    }

    protected function tearDown(): void
    {
        unlink($this->script);
        parent::tearDown();
    }

    /**
     * @param  array<string, mixed>  $https
     * @param  array<string, string|null>  $text
     */
    private function says(array $https, array $text = []): void
    {
        $this->https = [...$this->https, ...$https];
        file_put_contents($this->script, json_encode(['https' => $this->https, 'text' => $text], JSON_THROW_ON_ERROR));
    }

    private function ask(string $name = 'bell.com'): DirectoryAnswer
    {
        return $this->directories->ask(DomainName::of($name))[0];
    }

    /** @return list<string> what it was asked since the last time */
    private function asked(): array
    {
        $said = array_values(
            array_filter(explode("\n", (string) $this->server?->getIncrementalOutput()), fn (string $line): bool => $line !== ''),
        );

        return array_values(array_diff($said, ['ready', self::BOOTSTRAP]));
    }

    /** @return array<string, mixed> */
    private static function domain(string $name = 'bell.com'): array
    {
        return [
            'objectClassName' => 'domain',
            'ldhName' => $name,
            'status' => ['active'],
            'events' => [['eventAction' => 'expiration', 'eventDate' => '2027-11-02T00:00:00Z']],
        ];
    }

    /** RFC 7480 §5.2; where to may be said in full or not (RFC 9110 §10.2.2). */
    #[TestWith([301, 'https://rdap.skerry.example/elsewhere/bell.com', 'rdap.skerry.example/elsewhere/bell.com'])]
    #[TestWith([302, '/v1/bell.com', 'rdap.harbour-registry.example/v1/bell.com'])]
    #[TestWith([307, 'other', 'rdap.harbour-registry.example/domain/other'])]
    #[TestWith([308, '//rdap.skerry.example/x', 'rdap.skerry.example/x'])]
    public function test_sent_on_to_a_listed_host_it_is_followed(int $status, string $location, string $to): void
    {
        $this->says([self::DOMAIN => [$status, '', ['Location' => $location]], $to => [200, self::domain()]]);
        $told = $this->ask();
        self::assertSame(["https://{$to}", '2027-11-02'], [$told->from, $told->record?->ends?->date()]);
        self::assertSame([self::DOMAIN, $to], $this->asked());
    }

    #[TestWith(['https://rdap.stranger.example/domain/bell.com'])]
    #[TestWith(['http://rdap.skerry.example/domain/bell.com'])]
    #[TestWith(['https://me@rdap.skerry.example/domain/bell.com'])]
    #[TestWith(['file:///etc/passwd'])]
    #[TestWith(['//'])]
    #[TestWith([''])]
    #[TestWith([null])]
    public function test_sent_on_to_anywhere_else_it_is_not(?string $location): void
    {
        $this->says([self::DOMAIN => [302, '', $location === null ? [] : ['Location' => $location]]]);
        $told = $this->ask();
        self::assertSame([FailureReason::Elsewhere, null, 'https://'.self::DOMAIN], [$told->why, $told->record, $told->from]);
        self::assertStringContainsString('not followed', (string) $told->reason);
        self::assertSame([self::DOMAIN], $this->asked());
    }

    public function test_sent_round_in_a_circle_it_ends(): void
    {
        $this->says([
            self::DOMAIN => [302, '', ['Location' => 'https://rdap.skerry.example/a']],
            'rdap.skerry.example/a' => [302, '', ['Location' => 'https://'.self::DOMAIN]],
        ]);
        self::assertSame(FailureReason::Elsewhere, $this->ask()->why);
        self::assertCount(4, $this->asked());
    }

    /** RFC 7480 §5.5 and RFC 9110 §10.2.3: seconds, or a date. */
    public function test_told_that_it_is_too_often_it_is_left_alone_as_long_as_it_says(): void
    {
        foreach (
            ['90' => 90, gmdate('D, d M Y H:i:s '
                .'\G\M\T', time() + 300) => 300, '0' => 1, 'soon' => 1, '9999999' => 86_400] as $after => $wait
        ) {
            Cache::flush();
            $this->says([self::DOMAIN => [429, '', ['Retry-After' => (string) $after]]]);
            $told = $this->ask();
            self::assertSame(FailureReason::TooOften, $told->why);
            self::assertEqualsWithDelta($wait, $told->wait, 5, (string) $after);
            self::assertSame([self::DOMAIN], $this->asked());
            $this->says([self::DOMAIN => [200, self::domain()]]);
            if ($wait > 5) {
                self::assertSame([FailureReason::TooOften, []], [$this->ask()->why, $this->asked()], 'nobody asks meanwhile');
            }
        }
        Cache::flush();
        $this->says([self::DOMAIN => [429, '']]);
        self::assertEqualsWithDelta(60, $this->ask()->wait, 2, 'who doesn’t say how long');
    }

    /** One odd member costs that member, whatever else a batch of fifty holds. */
    public function test_a_byte_that_is_no_utf8_costs_the_member_that_it_stands_in(): void
    {
        $this->says([
            self::DOMAIN => [
                200,
                'base64:'.
                base64_encode(
                    "{\"objectClassName\": \"domain\", \"ldhName\": \"bell.com\", \"status\": [\"active\", \"\xff\"], \"nameservers\": "
                        ."[{\"ldhName\": \"ns1.\xff.example\"}], \"events\": [{\"eventAction\": \"expiration\", \"eventDate\": "
                        .'"0000-01-01T00:00:00Z"}, {"eventAction": "registration", "eventDate": "2019-10-13T08:00:00Z"}]}',
                ),
            ],
        ]);
        $record = $this->ask()->record;
        self::assertNotNull($record);
        self::assertSame(
            [[], [], null, null, '2019-10-13T08:00:00Z'],
            [$record->statuses, $record->words, $record->servers, $record->ends, $record->created?->isoSecond()],
        );
        self::assertFalse($record->saysStatuses(), 'what could not be read is not known, and no lock is off for it');
    }

    /** @param  array{int, mixed}  $answer */
    #[TestWith([[404, ''], null, true])]
    #[TestWith([[500, 'oops'], FailureReason::Refused, false])]
    #[TestWith([[403, '{"errorCode": 403}'], FailureReason::Refused, false])]
    #[TestWith([[200, '{"errorCode": 400, "title": "No", "description": ["Not today."]}'], FailureReason::Refused, false])]
    #[TestWith([[200, ''], FailureReason::Garbled, false])]
    #[TestWith([[200, '<html>'], FailureReason::Garbled, false])]
    #[TestWith([[200, '[]'], FailureReason::Garbled, false])]
    #[TestWith([[200, '{"objectClassName": "entity", "handle": "X"}'], FailureReason::Garbled, false])]
    #[TestWith([[200, '{"objectClassName": "domain", "ldhName": "other.com"}'], FailureReason::Garbled, false])]
    public function test_what_is_no_record_is_said_to_be_none(array $answer, ?FailureReason $why, bool $isAnswer): void
    {
        $this->says([self::DOMAIN => $answer]);
        $told = $this->ask();
        self::assertSame([$why, $isAnswer, null], [$told->why, $told->isAnswer, $told->record]);
    }

    public function test_longer_than_is_read_or_deeper_than_is_read_is_refused(): void
    {
        $this->says([self::DOMAIN => [200, str_repeat(' ', 20_001)]]);
        self::assertSame(FailureReason::TooLong, $this->ask()->why);
        $this->says([
            self::DOMAIN => [
                200,
                '{"objectClassName": "domain", "ldhName": "bell.com", "entities": '.str_repeat('[', 500).str_repeat(']', 500).'}',
            ],
        ]);
        self::assertSame(FailureReason::Garbled, $this->ask()->why);
    }

    /** RFC 9224: without the list of directories nobody is asked, and with a new one the new one is. */
    public function test_a_list_of_directories_that_cant_be_read_is_said_and_not_kept(): void
    {
        foreach ([[404, ''], [200, 'nothing'], [200, ['services' => 'none']]] as $answer) {
            $this->says([self::BOOTSTRAP => $answer]);
            $told = $this->ask();
            self::assertNotNull($told->why);
            self::assertSame([], $this->asked());
        }
        $this->says([self::BOOTSTRAP => [200, self::SERVICES], self::DOMAIN => [200, self::domain()]]);
        self::assertTrue($this->ask()->isAnswer);
        // It is kept for a day.
        $this->says([self::BOOTSTRAP => [404, '']]);
        self::assertTrue($this->ask()->isAnswer);
        self::assertSame(FailureReason::NotListed, $this->ask('bell.org')->why, 'nobody answers for that suffix');
    }

    /** RFC 3912 */
    public function test_a_text_is_read_or_said_not_to_be_one(): void
    {
        $say = function (?string $text): DirectoryAnswer {
            $this->says([], ['bell.tern' => $text]);

            return $this->ask('bell.tern');
        };
        $told = $say("Domain: bell.tern\nStatus: connect\nChanged: 2026-09-01\n");
        self::assertSame(['whois.trial.example, port 43', '2026-09-01'], [$told->from, $told->record?->changed?->iso()]);
        self::assertSame([true, null], [$say("% No match\n")->isAnswer, $say('')->record]);
        self::assertSame(FailureReason::Garbled, $say("Domain: other.tern\nStatus: connect\n")->why);
        self::assertSame(FailureReason::Garbled, $say(str_repeat("Remark: x\n", 200_000))->why);
        self::assertSame(FailureReason::Silent, $say(null)->why);
        $this->stopped();
        self::assertSame(FailureReason::Silent, $this->ask('bell.tern')->why);
    }
}
