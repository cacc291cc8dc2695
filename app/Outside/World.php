<?php

declare(strict_types=1);

namespace App\Outside;

use Acre\Core\Time\Instant;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Factory;
use RuntimeException;

/** The simulated world, as whoever runs the demo moves it: over its own page, as anybody could. There is none with real hosts. */
final readonly class World
{
    private const SECONDS = 120;

    private const ASKED = 3;

    /** @param  string|null  $page  its address; null: the hosts outside are real */
    public function __construct(private ?string $page, private string $key, private Factory $http = new Factory())
    {
    }

    public function isThere(): bool
    {
        return $this->page !== null;
    }

    /** Of the world's own page. */
    public function address(): ?string
    {
        return $this->page;
    }

    /** @param  array<string, mixed>  $document  instant, names, hosts, moods and zones; what was there is forgotten */
    public function load(array $document): void
    {
        $this->post('/load', json_encode($document, JSON_THROW_ON_ERROR));
    }

    /** @param  array<string, mixed>  $document */
    public function add(array $document): void
    {
        $this->post('/more', json_encode($document, JSON_THROW_ON_ERROR));
    }

    /**
     * Names that the house was told of, which somebody there has had all along; those that the world knows stay as they are.
     *
     * @param  list<array{name: string, shop: string, registrar: string|null, account: string, created: int|null, ends: int|null,
     *     statuses: list<string>, isLocked: bool, renews: bool, servers: list<string>, holder: string|null, mailbox: string|null}>  $names
     */
    public function meet(array $names): void
    {
        $this->post('/met', json_encode(['names' => $names], JSON_THROW_ON_ERROR));
    }

    /** Time passes there until then, and what should happen meanwhile happens. */
    public function moveTo(Instant $instant): void
    {
        $this->post('/clock', http_build_query(['to' => $instant->epoch]));
    }

    /** Something that another party does to a name, in the words of the world's page. */
    public function play(string $name, string $part, string $with = ''): void
    {
        $this->post('/name', http_build_query(['name' => $name, 'part' => $part, 'with' => $with]));
    }

    /** How the name server at an address behaves from now on. */
    public function mood(string $address, string $mood): void
    {
        $this->post('/mood', http_build_query(['address' => $address, 'mood' => $mood]));
    }

    /** @param  string  $amount  pounds a year, as `41.20` */
    public function price(string $suffix, string $amount, Instant $from): void
    {
        $this->post('/price', http_build_query(['suffix' => $suffix, 'amount' => $amount, 'from' => $from->date()]));
    }

    /** @param  string  $amount  pounds, as `41.20` */
    public function payIn(string $account, string $amount): void
    {
        $this->post('/pay', http_build_query(['account' => $account, 'amount' => $amount]));
    }

    /**
     * What befalls the next answers of a place, in the words of the world's page.
     *
     * @param  int  $after  so many go well before
     */
    public function weather(string $weather, int $times, string $place = 'the gate', int $after = 0): void
    {
        $this->post('/weather', http_build_query(['weather' => $weather, 'times' => $times, 'place' => $place, 'after' => $after]));
    }

    /** @return list<string> the letters in a mailbox, as they came, oldest first */
    public function letters(string $mailbox): array
    {
        $letters = json_decode($this->post('/letters', http_build_query(['mailbox' => $mailbox])), true);

        return is_array($letters) ? array_values(array_filter($letters, is_string(...))) : [];
    }

    /** Somebody writes a letter, perhaps in answer to another. */
    public function write(string $from, string $to, string $subject, string $text, string $answers = ''): void
    {
        $this->post(
            '/write',
            http_build_query(['from' => $from, 'to' => $to, 'subject' => $subject, 'text' => $text, 'answers' => $answers]),
        );
    }

    /** What a mailbox does with letters from now on, in the words of the world's page. */
    public function mailbox(string $address, string $habit, string $to = ''): void
    {
        $this->post('/mailbox', http_build_query(['address' => $address, 'habit' => $habit, 'to' => $to]));
    }

    /** @return list<string> what a gate has heard from an account: verb and code, `update 1001` */
    public function heard(string $account): array
    {
        $heard = json_decode($this->post('/heard', http_build_query(['account' => $account])), true);

        return is_array($heard) ? array_values(array_filter($heard, is_string(...))) : [];
    }

    /** What its clock shows; null: there is no such world, or it does not answer. */
    public function now(): ?Instant
    {
        if ($this->page === null) {
            return null;
        }
        try {
            $now = $this->http
                ->timeout(self::ASKED)
                ->get("{$this->page}/clock")
                ->json('now');
        } catch (ConnectionException) {
            return null;
        }

        return is_int($now) ? Instant::second($now) : null;
    }

    /** @return array<array-key, mixed> where it listens */
    public function ports(): array
    {
        $ports =
            $this->page === null
                ? null
                : $this->http
                    ->timeout(self::SECONDS)
                    ->get("{$this->page}/ports")
                    ->json();

        return is_array($ports) ? $ports : [];
    }

    /** @return string what came back */
    private function post(string $path, string $body): string
    {
        if ($this->page === null) {
            return '';
        }
        $answer = $this->http
            ->timeout(self::SECONDS)
            ->withHeaders(['World-Key' => $this->key])
            ->withoutRedirecting()
            ->withBody($body, 'application/x-www-form-urlencoded')
            ->post($this->page.$path);
        if ($answer->failed()) {
            throw new RuntimeException("The simulated world did not take {$path}: {$answer->status()} ".substr($answer->body(), 0, 300));
        }

        return $answer->body();
    }
}
