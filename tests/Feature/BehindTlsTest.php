<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Standin\Tls\Certificates;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** The house behind a web server that has a certificate, as docs/behind-tls.md shows it. */
final class BehindTlsTest extends TestCase
{
    private const HOST = 'roll.bells.example';

    private string $folder = '';

    /** @var list<Process> */
    private array $running = [];

    protected function tearDown(): void
    {
        foreach ($this->running as $process) {
            $process->stop(3);
        }
        if ($this->folder !== '') {
            (new Process(['rm', '-rf', $this->folder]))->run();
        }
        TrustProxies::flushState();
        parent::tearDown();
    }

    private static function port(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($socket);
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $settings
     */
    private function serve(array $command, int $port, array $settings = []): void
    {
        $process = new Process($command, base_path(), $settings, timeout: null);
        $process->start();
        $this->running[] = $process;
        $until = microtime(true) + 20;
        do {
            if (! $process->isRunning() || microtime(true) > $until) {
                self::fail($process->getErrorOutput());
            }
            $socket = @fsockopen('127.0.0.1', $port);
        } while ($socket === false);
        fclose($socket);
    }

    /**
     * @param  non-empty-string  $url
     * @param  list<string>  $headers
     */
    private function fetch(string $url, int $tls, int $plain, array $headers = []): string
    {
        $curl = curl_init();
        curl_setopt_array($curl, [
            CURLOPT_URL => $url,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_TIMEOUT => 20,
            CURLOPT_HTTPHEADER => $headers,
            CURLOPT_CAINFO => "{$this->folder}/authority.pem",
            CURLOPT_CONNECT_TO => [self::HOST.":443:127.0.0.1:{$tls}", self::HOST.":80:127.0.0.1:{$plain}"],
        ]);
        $answer = curl_exec($curl);
        self::assertIsString($answer, curl_error($curl));

        return $answer;
    }

    public function test_what_the_page_shows_works(): void
    {
        $this->folder = sys_get_temp_dir().'/acre-tls-'.bin2hex(random_bytes(6));
        mkdir($this->folder, 0700);
        $pair = (new Certificates($this->folder))->server([self::HOST]);
        [$tls, $plain, $house] = [self::port(), self::port(), self::port()];
        self::assertSame(1, preg_match('/```nginx\n(.*?)```/s', (string) file_get_contents(base_path('docs/behind-tls.md')), $shown));
        $servers = strtr($shown[1] ?? '', [
            '/etc/ssl/'.self::HOST.'.pem' => $pair,
            '/etc/ssl/'.self::HOST.'.key' => $pair,
            'listen 443' => "listen 127.0.0.1:{$tls}",
            'listen 80' => "listen 127.0.0.1:{$plain}",
            '127.0.0.1:8420' => "127.0.0.1:{$house}",
        ]);
        $temporary = implode(
            '',
            array_map(fn (string $kind): string => "{$kind}_temp_path {$this->folder}/{$kind};", [
                'client_body',
                'proxy',
                'fastcgi',
                'uwsgi',
                'scgi',
            ]),
        );
        file_put_contents(
            "{$this->folder}/nginx.conf",
            "daemon off; pid {$this->folder}/pid; error_log stderr; events {} http { access_log off; {$temporary} {$servers} }",
        );
        $this->serve(['php', '-d', 'variables_order=EGPCS', '-S', "127.0.0.1:{$house}", '-t', 'public', 'public/index.php'], $house, [
            'ACRE_REACHED_AT' => 'https://'.self::HOST,
            'ACRE_TRUSTED_PROXIES' => '127.0.0.1',
            'APP_CONFIG_CACHE' => "{$this->folder}/none",
            'LARAVEL_STORAGE_PATH' => storage_path(),
        ]);
        $this->serve(['nginx', '-c', "{$this->folder}/nginx.conf"], $tls);

        $page = $this->fetch('https://'.self::HOST.'/begin', $tls, $plain);
        self::assertMatchesRegularExpression('#^HTTP/2 200#', $page, $this->running[0]->getErrorOutput());
        self::assertMatchesRegularExpression('/^strict-transport-security: max-age=31536000\r$/mi', $page);
        self::assertMatchesRegularExpression(
            '/^set-cookie: __Host-acre_session=[^\r]*; path=\/; secure; httponly; samesite=lax\r$/mi',
            $page,
        );
        self::assertSame(1, preg_match_all('/^set-cookie:/mi', $page), 'no cookie is left that is not of this host alone');
        self::assertStringContainsString('action="https://'.self::HOST.'/begin"', $page);
        self::assertStringNotContainsString("127.0.0.1:{$house}", $page);
        self::assertStringContainsString('308', $this->fetch('http://'.self::HOST.'/roll', $tls, $plain));
        self::assertStringContainsString(
            'location: https://'.self::HOST.'/',
            strtolower($this->fetch('https://'.self::HOST.'/roll', $tls, $plain, ['X-Forwarded-Host: elsewhere.example'])),
        );
    }

    /** @param  list<string>  $trusted */
    #[TestWith([['127.0.0.1'], '127.0.0.1', '198.51.100.7'], 'passed on by whom we trust')]
    #[TestWith([['10.0.0.0/24'], '10.0.0.9', '198.51.100.7'], 'by one of a block')]
    #[TestWith([['127.0.0.1'], '203.0.113.5', '203.0.113.5'], 'claimed by a stranger')]
    #[TestWith([[], '127.0.0.1', '127.0.0.1'], 'nobody is trusted')]
    public function test_the_visitors_address_is_believed_only_of_those_named(array $trusted, string $from, string $written): void
    {
        TrustProxies::at($trusted);
        $house = new House();
        $this->call(
            'POST',
            '/sign-in',
            ['email' => $house->owner->email, 'password' => 'wrong'],
            server: ['REMOTE_ADDR' => $from, 'HTTP_X_FORWARDED_FOR' => '198.51.100.7'],
        );
        self::assertSame($written, DB::table('log')->where('event', 'sign_in_failed')->value('from_address'));
    }

    public function test_without_tls_no_browser_is_told_to_want_it(): void
    {
        $this->get('/sign-in')->assertHeaderMissing('Strict-Transport-Security');
    }
}
