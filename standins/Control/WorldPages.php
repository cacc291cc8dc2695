<?php

declare(strict_types=1);

namespace Standin\Control;

use Acre\Wire\Json\JsonNode;
use Standin\Counter\CounterPages;
use Standin\Counter\MovePages;
use Standin\Counter\OfferPages;
use Standin\Dns\Addresses;
use Standin\Dns\DnsServer;
use Standin\Dns\Mood;
use Standin\Http\HttpRequest;
use Standin\Http\HttpResponse;
use Standin\Post\Habit;
use Standin\Post\Letter;
use Standin\Post\LetterPages;
use Standin\Post\Mailbox;
use Standin\Registry\Registrar;
use Standin\Settings;
use Standin\Web\WebServer;
use Standin\World;

/** The page of the simulation, and what moves it. Whoever moves it says the key. */
final readonly class WorldPages
{
    private const LIMIT = 8_000_000;

    public function __construct(private World $world, private DnsServer $dns, private Settings $settings)
    {
    }

    public function answer(HttpRequest $request): HttpResponse
    {
        if ($request->method === 'GET') {
            return match (true) {
                str_starts_with($request->path, '/letters') => (new LetterPages(
                    $this->world,
                    $this->world->post,
                    $this->settings->key,
                ))->answer($request->path),
                str_starts_with($request->path, '/offer/') => (new OfferPages($this->world, $this->settings->key))->show($request->path),
                str_starts_with($request->path, '/move/') => (new MovePages($this->world, $this->settings->key))->show($request->path),
                $request->path === '/counter' => (new CounterPages($this->world, $this->settings->key))->show([], ''),
                default => $this->shown($request->path),
            };
        }
        $form = $request->form();
        if (! hash_equals($this->settings->key, $request->headers['world-key'] ?? ($form['key'] ?? ''))) {
            return new HttpResponse(403, 'text/plain', "The key is missing.\n");
        }

        return match (true) {
            str_starts_with($request->path, '/offer/') => (new OfferPages($this->world, $this->settings->key))->answer(
                $request->path,
                $form,
            ),
            str_starts_with($request->path, '/move/') => (new MovePages($this->world, $this->settings->key))->answer(
                $request->path,
                $form,
            ),
            $request->path === '/counter' => (new CounterPages($this->world, $this->settings->key))->done($form),
            $request->path === '/counter/statement.csv' => (new CounterPages($this->world, $this->settings->key))->statement($form),
            default => $this->moves($request, $form),
        };
    }

    private function shown(string $path): HttpResponse
    {
        return match ($path) {
            '/' => $this->page(''),
            '/ports' => HttpResponse::json($this->ports()),
            '/clock' => HttpResponse::json(['now' => $this->world->now()]),
            // Bytes: whether what strangers send is kept.
            '/memory' => HttpResponse::json(['used' => memory_get_usage()]),
            default => new HttpResponse(404, 'text/plain', "There is no such page.\n"),
        };
    }

    /** @param  array<string, string>  $form */
    private function moves(HttpRequest $request, array $form): HttpResponse
    {
        return match ($request->path) {
            '/clock' => isset($form['days']) ? $this->daysOn((int) $form['days']) : $this->moved((int) ($form['to'] ?? 0)),
            '/load', '/more' => $this->loaded(JsonNode::read($request->body, self::LIMIT), $request->path === '/load'),
            '/met' => HttpResponse::json(['met' => $this->world->meet(JsonNode::read($request->body, self::LIMIT))]),
            '/mood' => $this->inMood($form['address'] ?? '', $form['mood'] ?? ''),
            '/name' => $this->played($form),
            '/letters' => HttpResponse::json(
                array_map(
                    fn (Letter $letter): string => mb_scrub($letter->raw),
                    $this->world->store->letters->of(strtolower($form['mailbox'] ?? '')),
                ),
            ),
            '/heard' => HttpResponse::json($this->world->store->heard($form['account'] ?? '')),
            '/weather' => $this->weather($form),
            '/mailbox' => $this->mailbox($form),
            '/write' => $this->written($form),
            '/price' => $this->priceChanges($form),
            '/pay' => $this->paidIn($form['account'] ?? '', $form['amount'] ?? ''),
            default => new HttpResponse(404, 'text/plain', "There is no such page.\n"),
        };
    }

    private function daysOn(int $days): HttpResponse
    {
        $this->moved($this->world->now() + max(0, min(3_660, $days)) * 86_400);

        return $this->back();
    }

    /** @return array<string, mixed> */
    private function ports(): array
    {
        return [
            'page' => "http://{$this->settings->address}:{$this->settings->pagePort}",
            'directories' => "127.0.0.1:{$this->settings->rdapPort}",
            'text' => "127.0.0.1:{$this->settings->textPort}",
            'gate' => "127.0.0.1:{$this->settings->eppPort}",
            'second gate' => "127.0.0.1:{$this->settings->lanternPort}",
            'post' => "127.0.0.1:{$this->settings->postPort}",
            'mailboxes' => "127.0.0.1:{$this->settings->popPort}",
            'bridge' => "127.0.0.1:{$this->settings->bridgePort}",
            'web servers' => array_combine(
                WebServer::ADDRESSES,
                array_map(
                    fn (string $address): string => Addresses::here($address)
                        .":{$this->settings->webPort}, TLS {$this->settings->webTlsPort}",
                    WebServer::ADDRESSES,
                ),
            ),
            'name servers' => array_combine(
                $this->dns->addresses(),
                array_map(
                    fn (string $address): string => Addresses::here($address).":{$this->settings->dnsPort}",
                    $this->dns->addresses(),
                ),
            ),
        ];
    }

    private function moved(int $to): HttpResponse
    {
        if ($to < $this->world->now() - 1) {
            return new HttpResponse(422, 'text/plain', "The clock only goes forward.\n");
        }
        $this->world->moveTo($to);

        return HttpResponse::json(['now' => $this->world->now()]);
    }

    private function loaded(JsonNode $document, bool $anew): HttpResponse
    {
        $this->world->load($document, $anew);
        $this->dns->listen();

        return HttpResponse::json(['names' => $this->world->store->count()]);
    }

    private function inMood(string $address, string $mood): HttpResponse
    {
        $this->world->store->hosts->putMood($address, Mood::from($mood)->value);

        return $this->back();
    }

    /** @param  array<string, string>  $form */
    private function weather(array $form): HttpResponse
    {
        Weather::from($form['weather'] ?? '')->set(
            $this->world->store,
            Place::from($form['place'] ?? Place::Gate->value),
            max(0, min(1000, (int) ($form['times'] ?? 1))),
            max(0, min(1000, (int) ($form['after'] ?? 0))),
        );

        return $this->back();
    }

    /** @param  array<string, string>  $form */
    private function mailbox(array $form): HttpResponse
    {
        $address = strtolower(trim($form['address'] ?? ''));
        $this->world->store->letters->putMailbox(
            new Mailbox(
                $address,
                Habit::from($form['habit'] ?? ''),
                strtolower(trim($form['to'] ?? '')),
                $this->world->store->letters->mailbox($address)?->password,
            ),
        );

        return $this->back();
    }

    /** @param  array<string, string>  $form */
    private function written(array $form): HttpResponse
    {
        $this->world->post->write(
            $form['from'] ?? 'somebody@world.example',
            $form['to'] ?? '',
            $form['subject'] ?? '',
            $form['text'] ?? '',
            $form['answers'] ?? '',
        );

        return $this->back();
    }

    /** @param  array<string, string>  $form */
    private function played(array $form): HttpResponse
    {
        $name = $this->world->store->name(strtolower(trim($form['name'] ?? '')));
        $part = Part::tryFrom($form['part'] ?? '');
        if ($name === null || $part === null) {
            return new HttpResponse(
                422,
                'text/html; charset=utf-8',
                $this->page(
                    $name === null
                        ? 'Nobody has registered “'.($form['name'] ?? '').'” in this world.'
                        : 'There is no such part to play.',
                )->body,
            );
        }
        $part->play($name, trim($form['with'] ?? ''), $this->world);

        return $this->back();
    }

    /** @param  array<string, string>  $form */
    private function priceChanges(array $form): HttpResponse
    {
        $day = strtotime(trim($form['from'] ?? '').' UTC');
        $suffix = ltrim(strtolower(trim($form['suffix'] ?? '')), '.');
        $amount = trim($form['amount'] ?? '');
        if ($day === false || $suffix === '' || preg_match('/^\d{1,6}([.]\d{2})?$/D', $amount) !== 1) {
            return new HttpResponse(
                422,
                'text/html; charset=utf-8',
                $this->page('Write a suffix, an amount as 41.20, and a day as 2027-01-31.')->body,
            );
        }
        $this->world->prices->change($suffix, (int) round(100 * (float) $amount), $day);

        return $this->back();
    }

    private function paidIn(string $number, string $amount): HttpResponse
    {
        $account = $this->world->store->account(trim($number));
        if ($account === null || preg_match('/^\d{1,6}([.]\d{2})?$/D', trim($amount)) !== 1) {
            return new HttpResponse(
                422,
                'text/html; charset=utf-8',
                $this->page($account === null ? "There is no account {$number} in this world." : 'Write an amount as 41.20.')->body,
            );
        }
        $this->world->till->payIn($account, (int) round(100 * (float) $amount), $this->world->now());

        return $this->back();
    }

    private function back(): HttpResponse
    {
        return new HttpResponse(303, 'text/plain', '', ['Location' => '/']);
    }

    private function page(string $said): HttpResponse
    {
        $esc = Sheet::esc(...);
        $key = '<input type="hidden" name="key" value="'.$esc($this->settings->key).'">';
        $parts = implode(
            '',
            array_map(
                fn (Part $part): string => '<option value="'.$part->value.'">'.$esc($part->words()).'</option>',
                Part::cases(),
            ),
        );
        $weathers = implode('', array_map(fn (Weather $one): string => "<option>{$esc($one->value)}</option>", Weather::cases()));
        $moods = '';
        foreach ([...$this->dns->addresses(), ...WebServer::ADDRESSES] as $address) {
            $now = $this->world->store->hosts->mood($address) ?? Mood::Fine->value;
            $choices = implode(
                '',
                array_map(
                    fn (Mood $mood): string => '<option'.($mood->value === $now ? ' selected' : '').'>'.$mood->value.'</option>',
                    Mood::cases(),
                ),
            );
            $moods .= "<tr><td>{$address}</td><td>{$esc(
                $this->world->store->hosts->byAddress()[$address] ?? match (true) {
                    in_array($address, WebServer::ADDRESSES, true) => 'pages',
                    default => $address === Addresses::ROOT ? 'root' : 'a suffix’s',
                },
            )}</td><td><form method=post
            action=/mood>{$key}<input type=hidden name=address
            value={$address}><label>Mood <select name=mood>{$choices}</select></label> <button>Set</button></form></td></tr>";
        }
        $registrars = implode(', ', array_map(fn (Registrar $one): string => $one->id, Registrar::all()));
        $places = implode('', array_map(fn (Place $one): string => "<option>{$esc($one->value)}</option>", Place::cases()));
        $habits = implode('', array_map(fn (Habit $one): string => "<option>{$esc($one->value)}</option>", Habit::cases()));

        return Sheet::page(
            'The simulated world',
            ($said === '' ? '' : "<p><strong>{$esc($said)}</strong></p>").
                <<<HTML
                <p>Its clock shows {$esc(
                    gmdate('Y-m-d H:i:s', $this->world->now()),
                )} UTC. {$this->world->store->count()} names are registered.
                The house follows this clock within seconds; it only goes forward (<code>./acre clock back</code> resets the demo).</p>
                <p><a href=/letters>The letterbox</a>: every letter that somebody got.
                <a href=/counter>The counter of Pellbridge</a>: where a person does what a slip says.</p>
                <form method=post action=/clock>{$key}<p><label>Days <input name=days value=1 size=4></label>
                <button>Move the clock</button></p></form>
                <h2>Play another party</h2>
                <form method=post action=/name>{$key}<p><label>Name <input name=name required size=40></label></p>
                <p><label>What happens <select name=part>{$parts}</select></label></p>
                <p><label>With, where it needs more <input name=with size=40></label>
                (hosts with blanks between; a registrar of {$registrars}; a day like 2027-01-31)</p>
                <p><button>Let it happen</button></p></form>
                <h2>Pay in at a registrar</h2>
                <form method=post action=/pay>{$key}<p><label>Account <input name=account required size=12></label>
                <label>Pounds <input name=amount required size=8></label> <button>Pay in</button></p></form>
                <h2>Change a price</h2>
                <form method=post action=/price>{$key}<p><label>Suffix <input name=suffix required size=12></label>
                <label>Pounds a year <input name=amount required size=8></label>
                <label>from the day <input name=from required size=12></label> <button>Change it</button></p></form>
                <h2>Weather</h2>
                <form method=post action=/weather>{$key}
                <p><label>What befalls the next answers <select name=weather>{$weathers}</select></label>
                <label>of <select name=place>{$places}</select></label>
                <label>so many times <input name=times value=1 size=4></label>
                <label>after so many that go well <input name=after value=0 size=4></label> <button>Set</button></p></form>
                <h2>Mailboxes</h2>
                <form method=post action=/mailbox>{$key}<p><label>Mailbox <input name=address required size=30></label>
                <label>from now on <select name=habit>{$habits}</select></label>
                <label>to, if it forwards <input name=to size=30></label> <button>Set</button></p></form>
                <h2>Servers</h2><table><tr><th>Address<th>Host<th>Mood</tr>{$moods}</table>
                HTML
            ,
            status: $said === '' ? 200 : 422,
        );
    }
}
