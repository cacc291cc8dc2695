<?php

declare(strict_types=1);

namespace Standin\Counter;

use Standin\Control\Sheet;
use Standin\Http\HttpResponse;
use Standin\Post\Habit;
use Standin\Registry\Account;
use Standin\Registry\Holder;
use Standin\Registry\Pending;
use Standin\Registry\Prices;
use Standin\Registry\Registered;
use Standin\Registry\Sales;
use Standin\World;

/** The counter of a registrar without a gate: a ruled sheet of what lies in an account, and a form for an errand with names, one a line. */
final readonly class CounterPages
{
    private const REGISTRAR = 'anchorage';

    private const LOCK = 'clientTransferProhibited';

    /** How a statement calls what it is for. */
    private const WORDS = [
        'add' => 'Registration',
        'renew' => 'Renewal',
        'transfer' => 'Transfer',
        'restore' => 'Restore',
        'top_up' => 'Payment',
    ];

    /** Lines of a statement. */
    private const ENTRIES = 10_000;

    public function __construct(private World $world, private string $key)
    {
    }

    /**
     * @param  array<string, string>  $form  what was said already
     * @param  list<string>  $told  what came of the last errand
     */
    public function show(array $form, string $refused, array $told = []): HttpResponse
    {
        $account = $this->account($form);
        $value = fn (string $of): string => Sheet::esc($form[$of] ?? '');
        $said =
            ($refused === '' ? '' : '<p role=alert><strong>'.Sheet::esc($refused).'</strong></p>').
            ($told === []
                ? ''
                : '<ul>'.implode('', array_map(fn (string $one): string => '<li>'.Sheet::esc($one).'</li>', $told)).'</ul>');
        $who =
            '<input type=hidden name=key value="'.
            Sheet::esc($this->key).
            "\"><p><label>Account <input name=number value=\"{$value(
                'number',
            )}\" size=12></label> <label>Login <input name=login value=\"{$value('login')}\" size=20></label>";
        if ($account === null) {
            return Sheet::page(
                'The counter of Pellbridge',
                "{$said}<form method=post action=/counter>{$who} <button>Show what lies there</button></p></form>",
                status: $refused === '' ? 200 : 422,
            );
        }
        $errands = implode(
            '',
            array_map(
                fn (Errand $one): string => '<option'.
                    (($form['errand'] ?? '') === $one->value ? ' selected' : '').
                    ">{$one->value}</option>",
                Errand::cases(),
            ),
        );

        return Sheet::page(
            "The counter of Pellbridge: account {$account->number}",
            "{$said}<form method=post action=/counter>{$who}</p><p><label>Errand
                <select name=errand>{$errands}</select></label> <label>Years
                <input name=years value=\"{$value('years')}\" size=4></label></p>".
                "<p><label>Names, one a line<br><textarea name=names rows=6>{$value(
                    'names',
                )}</textarea></label></p><p><label>The receiving account’s mailbox <input name=mailbox value=\"{$value(
                    'mailbox',
                )}\" size=30></label> <label>and its number <input name=to value=\"{$value('to')}\" size=12></label></p>".
                "<p><label>Fields to show, commas between <input name=fields value=\"{$value(
                    'fields',
                )}\" size=50></label></p><p><label>The new holder, a line each: name, organisation, street, town, postcode, country,
                telephone, mailbox<br><textarea name=holder rows=8>{$value(
                    'holder',
                )}</textarea></label></p><p><label>Name servers or DS records, one a line<br><textarea name=values rows=4>{$value(
                    'values',
                )}</textarea></label></p>".
                '<p><button>Do it</button></p></form><h2>In this account</h2>'.
                $this->sheet($this->world->store->namesIn($account->number), 'Nothing.').
                '<h2>Offered to it</h2>'.
                $this->sheet($this->world->store->namesOffered($account->number), 'Nothing.').
                '<h2>Its money</h2><p>The account holds '.Prices::written($account->balance).' '.Prices::CURRENCY.
                ".</p><form method=post action=/counter/statement.csv>{$who} <button>Fetch its statement</button></p></form>",
            status: $refused === '' ? 200 : 422,
        );
    }

    /**
     * What was taken and paid in, as a file.
     *
     * @param  array<string, string>  $form
     */
    public function statement(array $form): HttpResponse
    {
        $account = $this->account($form);
        if ($account === null) {
            return $this->show($form, 'There is no such account with that login.');
        }
        $rows = "Number,Date,Description,Domain,Amount,Currency,Balance\r\n";
        foreach ($this->world->store->entries->after($account->number, 0, self::ENTRIES) as $entry) {
            $rows .= implode(',', [
                $entry['id'],
                gmdate('Y-m-d', $entry['at']),
                self::WORDS[$entry['kind']] ?? $entry['kind'],
                $entry['name'] ?? '',
                ($entry['pence'] < 0 ? '-' : '').Prices::written(abs($entry['pence'])),
                Prices::CURRENCY,
                Prices::written($entry['balance']),
            ])."\r\n";
        }

        return new HttpResponse(200, 'text/csv; charset=utf-8', $rows);
    }

    /** @param  array<string, string>  $form */
    public function done(array $form): HttpResponse
    {
        $account = $this->account($form);
        if ($account === null) {
            return $this->show($form, 'There is no such account with that login.');
        }
        $errand = Errand::tryFrom($form['errand'] ?? '');
        if ($errand === null) {
            return $this->show($form, '');
        }
        $names = self::lines($form['names'] ?? '');
        $told = array_map(fn (string $name): string => "{$name}: ".$this->carryOut($errand, $account, $name, $form), $names);

        return $this->show(['names' => ''] + $form, $told === [] ? 'Name one name at least.' : '', $told);
    }

    /** @param  array<string, string>  $form */
    private function carryOut(Errand $errand, Account $account, string $asked, array $form): string
    {
        $name = $this->world->store->name($asked);
        $isTheirs = $errand === Errand::Accept ? $name?->handover?->to === $account->number : $name?->account === $account->number;
        if ($name === null || ! $isTheirs) {
            return $errand === Errand::Accept ? 'it is not offered to this account.' : 'it does not lie in this account.';
        }
        if ($this->world->refuses($name->name)) {
            return 'we do not do that for this name.';
        }
        $said = match ($errand) {
            Errand::LiftLock => $this->lock($name, false),
            Errand::SetLock => $this->lock($name, true),
            Errand::RenewOn, Errand::RenewOff => $this->renewsItself($name, $errand === Errand::RenewOn),
            Errand::Renew => $this->sold(
                (new Sales($this->world))->renew($account, $name, min(10, max(1, (int) ($form['years'] ?? 1)))),
                $name,
            ),
            Errand::Restore => $this->sold((new Sales($this->world))->restore($account, $name), $name),
            Errand::Code => $this->code($name),
            Errand::Offer => $this->offer($account, $name, $form),
            Errand::Accept => $this->accept($name),
            Errand::Confirm => $this->confirm($name),
            Errand::Withdraw => $this->withdraw($name),
            Errand::Show => $this->disclose($name, $form),
            Errand::Holder => $this->holder($name, $form),
            Errand::Servers => $this->servers($name, $form),
            Errand::Keys => self::keys($name, $form),
        };
        $this->world->change($name);

        return $said;
    }

    private function lock(Registered $name, bool $on): string
    {
        $name->change($on ? ['ok'] : [self::LOCK], $on ? [self::LOCK] : []);

        return $on ? 'the lock is on.' : 'the lock is off.';
    }

    private function sold(int|string $sold, Registered $name): string
    {
        return is_string($sold)
            ? lcfirst($sold)
            : 'it cost '.Prices::written($sold).', and runs until '.gmdate('Y-m-d', $name->ends ?? 0).'.';
    }

    private function renewsItself(Registered $name, bool $on): string
    {
        $name->autoRenew = $on;

        return $on ? 'it renews by itself.' : 'it renews only when told.';
    }

    private function code(Registered $name): string
    {
        if ($name->has(self::LOCK)) {
            return 'lift the lock first.';
        }
        $name->code ??= bin2hex(random_bytes(8));

        return "its code is {$name->code}";
    }

    /** @param  array<string, string>  $form */
    private function offer(Account $account, Registered $name, array $form): string
    {
        $to = $this->world->store->account(trim($form['to'] ?? ''));
        if ($to === null || $to->registrar !== self::REGISTRAR || strcasecmp($to->mailbox, trim($form['mailbox'] ?? '')) !== 0) {
            return 'this mailbox and this number do not belong together.';
        }
        if ($to->number === $account->number || $name->handover !== null) {
            return $name->handover === null ? 'it lies in that account already.' : "it is offered to {$name->handover->to} already.";
        }
        // Whoever gets the letters of a forwarder is not whom the account names.
        if ($this->world->post->mailbox($to->mailbox)->habit === Habit::Forwards) {
            return 'the mailbox of that account only forwards; it must be one that answers itself.';
        }
        $this->world->offer($name, $account, $to, asks: false);

        return 'offered; the receiving account accepts it here, then this one confirms.';
    }

    private function accept(Registered $name): string
    {
        $pending = $name->handover;
        if ($pending !== null) {
            $name->handover = new Pending($pending->to, $pending->asked, $pending->by, true);
        }

        return 'accepted; the giving account confirms it here.';
    }

    private function confirm(Registered $name): string
    {
        if ($name->handover?->accepted !== true) {
            return $name->handover === null ? 'it is not offered to anybody.' : 'the receiving account has not accepted it yet.';
        }
        $to = $name->handover->to;
        $this->world->endHandover($name, 'accepted', $this->world->now());

        return "it lies in account {$to} now.";
    }

    /** @param  array<string, string>  $form */
    private function disclose(Registered $name, array $form): string
    {
        $wanted = array_values(
            array_filter(
                array_map(
                    fn (string $one): string => ['person' => 'name', 'telephone' => 'voice'][strtolower(trim($one))] ??
                        strtolower(trim($one)),
                    explode(',', $form['fields'] ?? ''),
                ),
                fn (string $one): bool => $one !== '',
            ),
        );
        $unknown = array_diff($wanted, ['name', 'organisation', 'street', 'town', 'region', 'postcode', 'country', 'voice', 'mailbox']);
        if ($unknown !== []) {
            return 'there is no field '.implode(', ', $unknown).'.';
        }
        $name->shown = $wanted;

        return $wanted === [] ? 'nothing is shown.' : 'shown: '.implode(', ', $wanted).'.';
    }

    /** @param  array<string, string>  $form */
    private function servers(Registered $name, array $form): string
    {
        $servers = self::lines($form['values'] ?? '');
        $unknown = array_filter($servers, fn (string $host): bool => $this->world->store->hosts->addresses($host) === []);
        if (count($servers) < 2 || $unknown !== []) {
            return $unknown === [] ? 'a name has two name servers at least.' : 'nobody knows '.implode(', ', $unknown).'.';
        }
        $name->servers = $servers;

        return 'its name servers are '.implode(', ', $servers).'.';
    }

    /** @param  array<string, string>  $form */
    private static function keys(Registered $name, array $form): string
    {
        $ds = [];
        foreach (self::lines($form['values'] ?? '') as $line) {
            if (preg_match('/^(\d{1,5}) (\d{1,3}) (\d{1,3}) ([0-9a-f]{40,96})$/D', $line, $found) !== 1) {
                return "a DS record is key tag, algorithm, digest type and digest, and not “{$line}”.";
            }
            $ds[] = [(int) $found[1], (int) $found[2], (int) $found[3], strtoupper($found[4])];
        }
        $name->ds = $ds;

        return $ds === [] ? 'it has no DS record.' : 'its DS records: '.count($ds).'.';
    }

    /** @return list<string> in small letters, without empty ones */
    private static function lines(string $text): array
    {
        $lines = array_map(fn (string $line): string => strtolower(trim($line)), explode("\n", $text));

        return array_values(array_filter($lines, fn (string $line): bool => $line !== ''));
    }

    /** @param  array<string, string>  $form */
    private function holder(Registered $name, array $form): string
    {
        $lines = array_map(trim(...), explode("\n", $form['holder'] ?? ''));
        [$person, $organisation, $street, $town, $postcode, $country, $voice, $mailbox] = [...$lines, ...array_fill(0, 8, '')];
        if ($person.$organisation === '' || preg_match('/^[A-Z]{2}$/D', $country) !== 1 || ! str_contains($mailbox, '@')) {
            return 'a holder has a name or an organisation, a country of two letters, and a mailbox.';
        }
        $name->holder = new Holder(
            'C-'.substr(hash('sha256', implode("\n", $lines)), 0, 8),
            $person,
            $organisation,
            $street,
            $town,
            '',
            $postcode,
            $country,
            $voice,
            $mailbox,
        );

        return 'it is held by '.($organisation === '' ? $person : $organisation).' now.';
    }

    private function withdraw(Registered $name): string
    {
        if ($name->handover === null) {
            return 'it is not offered to anybody.';
        }
        $this->world->endHandover($name, 'cancelled', $this->world->now());

        return 'the offer is taken back.';
    }

    /** @param  list<Registered>  $names */
    private function sheet(array $names, string $none): string
    {
        $rows = implode(
            '',
            array_map(
                fn (Registered $name): string => '<tr><td>'.
                    Sheet::esc($name->name).
                    '<td>'.
                    ($name->ends === null ? 'no end' : gmdate('Y-m-d', $name->ends)).
                    '<td>'.
                    ($name->has(self::LOCK) ? 'on' : 'off').
                    '<td>'.
                    ($name->autoRenew ? 'by itself' : 'when told').
                    '<td>'.
                    ($name->handover === null ? '' : "to {$name->handover->to}, ".($name->handover->accepted ? 'accepted' : 'waits')).
                    '</tr>',
                $names,
            ),
        );

        return $rows === '' ? "<p>{$none}</p>" : "<table><tr><th>Name<th>Ends<th>Lock<th>Renews<th>Offered</tr>{$rows}</table>";
    }

    /** @param  array<string, string>  $form */
    private function account(array $form): ?Account
    {
        $account = $this->world->store->account(trim($form['number'] ?? ''));

        return $account !== null && $account->registrar === self::REGISTRAR && $account->login === trim($form['login'] ?? '')
            ? $account
            : null;
    }
}
