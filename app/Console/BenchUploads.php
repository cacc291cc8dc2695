<?php

declare(strict_types=1);

namespace App\Console;

use CurlHandle;
use Database\Seeders\Demo\House;
use Illuminate\Console\Command;
use RuntimeException;

/** Measures pages while lists are uploaded and read, from outside, as a browser asks for them. */
final class BenchUploads extends Command
{
    private const UPLOADS = 8;

    /** As many as a list may have. */
    private const ROWS = 200_000;

    /** Pages that are measured at least; what was uploaded is read meanwhile. */
    private const LEAST = 60;

    private const PAGES = ['/rounds', '/roll', '/find?q=bell', '/dockets'];

    protected $signature = 'acre:bench-uploads';

    protected $description = 'Measure pages during eight uploads';

    protected $hidden = true;

    /** @var non-empty-string */
    private string $cookies = '-';

    public function handle(): int
    {
        $cookies = tempnam(sys_get_temp_dir(), 'acre-bench-');
        $this->cookies = $cookies === false ? throw new RuntimeException('There is no place for cookies.') : $cookies;
        $list = (string) tempnam(sys_get_temp_dir(), 'acre-bench-');
        $this->write($list);
        $mailbox = House::people()[0][1];
        $this->answer('/sign-in', ['_token' => $this->token('/sign-in'), 'email' => $mailbox, 'password' => House::PASSWORD]);
        $this->say('nobody uploads', $this->measure(fn (): bool => false));
        $token = $this->token('/imports');
        $multi = curl_multi_init();
        $uploads = [];
        for ($number = 0; $number < self::UPLOADS; $number++) {
            curl_multi_add_handle(
                $multi,
                $uploads[] = $this->request('/imports', [
                    '_token' => $token,
                    'new_registrar' => "Bench {$number}",
                    'list' => curl_file_create($list, 'text/csv', "list-{$number}.csv"),
                ]),
            );
        }
        $running = self::UPLOADS;
        $this->say(
            self::UPLOADS.' lists of '.number_format(strlen((string) file_get_contents($list)) / 1e6, 1).' MB are uploaded',
            $this->measure(function () use ($multi, &$running): bool {
                curl_multi_exec($multi, $running);

                return $running > 0;
            }),
        );
        $taken = array_filter(
            $uploads,
            fn (CurlHandle $upload): bool => preg_match('~/imports/\d+$~', (string) curl_getinfo($upload, CURLINFO_REDIRECT_URL)) === 1,
        );
        $last = max(0.0, ...array_map(fn (CurlHandle $upload): float => curl_getinfo($upload, CURLINFO_TOTAL_TIME), $uploads));
        $this->line(count($taken).' of them were taken, the last after '.number_format($last, 1).' s');
        unlink($list);
        unlink($this->cookies);

        return count($taken) === self::UPLOADS ? self::SUCCESS : self::FAILURE;
    }

    /**
     * @param  callable(): bool  $meanwhile  keeps going what goes on beside; whether it still does
     * @return list<float> milliseconds
     */
    private function measure(callable $meanwhile): array
    {
        $took = [];
        for ($round = 0; $meanwhile() || $round < self::LEAST; $round++) {
            $multi = curl_multi_init();
            curl_multi_add_handle($multi, $page = $this->request(self::PAGES[$round % count(self::PAGES)]));
            do {
                curl_multi_exec($multi, $open);
                $meanwhile();
            } while ($open > 0);
            if (curl_getinfo($page, CURLINFO_RESPONSE_CODE) !== 200) {
                throw new RuntimeException('A page was not served: '.curl_getinfo($page, CURLINFO_RESPONSE_CODE));
            }
            $took[] = curl_getinfo($page, CURLINFO_TOTAL_TIME) * 1000;
        }

        return $took;
    }

    /** @param  list<float>  $took */
    private function say(string $while, array $took): void
    {
        sort($took);
        $at = fn (float $share): string => number_format($took[(int) floor($share * (count($took) - 1))] ?? 0);
        $this->line(
            sprintf(
                'pages while %s: %s ms at the median, %s ms at 95 %%, %s ms at most, of %d',
                $while,
                $at(0.5),
                $at(0.95),
                $at(1.0),
                count($took),
            ),
        );
    }

    private function token(string $path): string
    {
        return preg_match('/name="_token" value="([^"]+)"/', $this->answer($path), $found) === 1
            ? $found[1]
            : throw new RuntimeException("There is no form at {$path}.");
    }

    /** @param  array<string, string>|null  $form */
    private function answer(string $path, ?array $form = null): string
    {
        $handle = $this->request($path, $form);
        $answer = (string) curl_exec($handle);
        // Written with the handle, and read by the next.
        curl_setopt($handle, CURLOPT_COOKIELIST, 'FLUSH');

        return $answer;
    }

    /** @param  array<string, mixed>|null  $form */
    private function request(string $path, ?array $form = null): CurlHandle
    {
        $handle = curl_init(config()->string('house.listens').$path);
        if ($handle === false) {
            throw new RuntimeException('There is no curl.');
        }
        curl_setopt_array($handle, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => $this->cookies,
            CURLOPT_COOKIEJAR => $this->cookies,
            CURLOPT_TIMEOUT => 120,
        ]);
        if ($form !== null) {
            curl_setopt($handle, CURLOPT_POSTFIELDS, $form);
        }

        return $handle;
    }

    private function write(string $file): void
    {
        $rows = "name,registrant,reference\n";
        for ($row = 0; $row < self::ROWS; $row++) {
            $rows .= "bench-upload-{$row}.com,Wickerby Bell Foundry Number {$row},".str_repeat('x', 60)."\n";
        }
        file_put_contents($file, $rows);
    }
}
