<?php

declare(strict_types=1);

namespace Standin;

use Acre\Wire\Json\JsonNode;
use RuntimeException;
use Standin\Dns\Mood;
use Standin\Dns\ZoneKeys;
use Standin\Post\Mailbox;
use Standin\Post\PostOffice;
use Standin\Registry\Account;
use Standin\Registry\Ended;
use Standin\Registry\EndHabit;
use Standin\Registry\Newcomer;
use Standin\Registry\Pending;
use Standin\Registry\Prices;
use Standin\Registry\Registered;
use Standin\Registry\Registrar;
use Standin\Registry\Registry;
use Standin\Registry\Till;

/** What is so in the simulated world, and how time passes there. */
final readonly class World
{
    public const BOOTSTRAP_HOST = 'bootstrap.example';

    /** Statuses under which no transfer begins (RFC 5731 §2.3). */
    public const NO_TRANSFER = [
        'clientTransferProhibited',
        'serverTransferProhibited',
        'pendingCreate',
        'pendingDelete',
        'pendingRenew',
        'pendingTransfer',
        'pendingUpdate',
    ];

    /** Seconds after which a quick registrar answers. */
    private const QUICK = 1_800;

    /** Days that the losing side of a transfer has. */
    private const TRANSFER_DAYS = 5;

    private const DAY = 86_400;

    /** Days that a receiver has. */
    private const ACCEPT_DAYS = 14;

    public WorldClock $clock;

    public PostOffice $post;

    public Till $till;

    public Prices $prices;

    /** @param  string  $page  where its own page is, for the links in its letters */
    public function __construct(public Store $store, public string $page = '')
    {
        $this->clock = new WorldClock($store);
        $this->post = new PostOffice($this);
        $this->till = new Till($store);
        $this->prices = new Prices($store);
    }

    public function now(): int
    {
        return $this->clock->now();
    }

    public function published(string $name): ?Registered
    {
        return $this->store->published($name, $this->now());
    }

    /** Keeps a changed name; its registry's directory shows it as late as it always does. */
    public function change(Registered $name): void
    {
        $registry = Registry::for($name->name) ?? throw new RuntimeException("No registry here has {$name->name}.");
        $name->updated = $this->now();
        $name->due = $this->due($name);
        $this->store->put($name, $registry->behind === 0 ? null : $this->now() + $registry->behind);
    }

    /** When something next happens to it by itself. */
    private function due(Registered $name): ?int
    {
        $all = array_filter(
            [
                Registry::for($name->name)?->habit->due($name),
                $this->till->due($name),
                $name->graceEnds(),
                $name->handover?->by,
                $name->transfer?->by,
            ],
            is_int(...),
        );

        return $all === [] ? null : min($all);
    }

    /** Lets happen, in order, what time brought about since. */
    public function pass(): void
    {
        $now = $this->now();
        while (($name = $this->store->firstDue($now)) !== null) {
            $at = $name->due ?? $now;
            if ($name->handover !== null && $name->handover->by <= $at) {
                $this->endHandover($name, 'lapsed', $at);
            } elseif ($name->transfer !== null && $name->transfer->by <= $at) {
                $this->endTransfer($name, $name->transfer->how, $at);
            } elseif ($name->graceEnds() !== null && $name->graceEnds() <= $at) {
                $name->endGrace($at);
            } elseif ($this->till->due($name) !== null && $this->till->due($name) <= $at) {
                $this->till->charge($name, $at);
            } else {
                $gone = $name->name;
                $name = (Registry::for($name->name)->habit ?? throw new RuntimeException("No registry here has {$name->name}."))->pass(
                    $name,
                    $at,
                );
                if ($name === null) {
                    $this->store->remove($gone);

                    continue;
                }
            }
            $name->due = $this->due($name);
            $this->store->put($name);
        }
    }

    /** Whether its registrar refuses whatever is commanded of a name. */
    public function refuses(string $name): bool
    {
        return $this->store->told("refused {$name}") === 'yes';
    }

    /**
     * Offers a name to another account at its registrar.
     *
     * @param  bool  $asks  whether the registrar writes to whoever has that account
     */
    public function offer(Registered $name, Account $from, Account $to, bool $asks = true): void
    {
        $now = $this->now();
        $name->handover = new Pending($to->number, $now, $now + self::ACCEPT_DAYS * 86_400);
        $this->store->inbox->leave(
            $to->number,
            $now,
            "{$name->name} is offered to this account.",
            json_encode(
                [
                    'kind' => 'handover',
                    'name' => $name->name,
                    'from' => $from->number,
                    'to' => $to->number,
                    'state' => 'offered',
                    'at' => $name->handover->by,
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
        if (! $asks || $to->mailbox === '') {
            return;
        }
        $token = bin2hex(random_bytes(32));
        $this->store->tell('offer '.hash('sha256', $token), $name->name);
        $registrar = Registrar::of($to->registrar)->name;
        $until = gmdate('j F Y', $name->handover->by);
        $this->post->write(
            "accounts@{$to->registrar}.example",
            $to->mailbox,
            "{$name->name} is offered to your account",
            'Somebody wants to hand '
                ."{$name->name} to your account at "
                ."{$registrar}.\n\nTo take it or to refuse it, until "
                ."{$until}:\n\n{$this->page}/offer/{$token}\n\nYou will be asked for the number and the login of your account. If you do "
                ."nothing, nothing happens.\n\n{$registrar}\n",
        );
    }

    /** @param  'accepted'|'refused'|'cancelled'|'lapsed'  $how */
    public function endHandover(Registered $name, string $how, int $at): void
    {
        $pending = $name->handover;
        if ($pending === null) {
            return;
        }
        $from = $name->account ?? '';
        $name->handover = null;
        $name->updated = $at;
        if ($how === 'accepted') {
            $name->account = $pending->to;
        }
        $this->store->inbox->endOrders($from, $name->name, $how === 'accepted');
        foreach ([$from, $pending->to] as $account) {
            $this->store->inbox->leave(
                $account,
                $at,
                "The handover of {$name->name} ".($how === 'lapsed' ? 'has lapsed.' : "was {$how}."),
                json_encode(
                    ['kind' => 'handover', 'name' => $name->name, 'from' => $from, 'to' => $pending->to, 'state' => $how, 'at' => $at],
                    JSON_THROW_ON_ERROR,
                ),
            );
        }
    }

    /** Whether a transfer began: to an account here, or to another registrar. A name that is locked stays where it is. */
    public function beginTransfer(Registered $name, string $to, int $at): bool
    {
        if ($name->transfer !== null || array_filter(self::NO_TRANSFER, $name->has(...)) !== []) {
            return false;
        }
        $from = $name->account ?? $name->registrar;
        $will = $this->store->told("answers {$name->name}");
        $isQuick = in_array($will, ['quickly', 'no'], true);
        $by = $at + ($isQuick ? self::QUICK : self::TRANSFER_DAYS * self::DAY);
        $name->transfer = new Pending($to, $at, $by, how: match ($will) {
            'quickly' => 'clientApproved',
            'no' => 'clientRejected',
            default => 'serverApproved',
        });
        $name->change(['ok'], ['pendingTransfer']);
        $this->store->inbox->leave(
            $from,
            $at,
            "A transfer of {$name->name} was asked for.",
            json_encode(
                [
                    'kind' => 'transfer',
                    'name' => $name->name,
                    'from' => $from,
                    'to' => $to,
                    'state' => 'pending',
                    'asked' => $at,
                    'at' => $by,
                    'ends' => null,
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
        if ($will === 'by letter' && $name->holder->mailbox !== '') {
            $this->askHolder($name, $by);
        }

        return true;
    }

    /** The losing registrar's own letter: who answers it makes it minutes instead of days. */
    private function askHolder(Registered $name, int $by): void
    {
        $token = bin2hex(random_bytes(32));
        $this->store->tell('move '.hash('sha256', $token), $name->name);
        $registrar = Registrar::of($name->registrar);
        $this->post->write(
            "transfers@{$registrar->id}.example",
            $name->holder->mailbox,
            "Transfer of {$name->name} to another registrar",
            "Another registrar has asked for {$name->name}.\n\nTo approve or to refuse it, until ".gmdate('j F Y', $by)
                .":\n\n{$this->page}/move/{$token}\n\nIf you do nothing, it goes through by itself then.\n\n{$registrar->name}\n",
        );
    }

    /** Where names move by tag, its registrar gives it another's, and it is there. */
    public function tag(Registered $name, string $to, int $at): void
    {
        $account = $this->store->account($to);
        $registrar = Registrar::called($to)->id;
        [$name->registrar, $name->account] = [$account->registrar ?? $registrar, $account?->number];
        [$name->moved, $name->reseller] = [$at, null];
    }

    /** @param  string  $how  as RFC 5731 §3.1.3 calls it: `clientApproved`, `clientRejected`, `clientCancelled`, `serverApproved` … */
    public function endTransfer(Registered $name, string $how, int $at): void
    {
        $pending = $name->transfer;
        if ($pending === null) {
            return;
        }
        $from = $name->account ?? $name->registrar;
        $name->transfer = null;
        $name->updated = $at;
        $name->change(['pendingTransfer'], []);
        $name->lastTransfer = new Ended($pending->to, $pending->asked, $at, $how);
        if (str_ends_with($how, 'Approved')) {
            $account = $this->store->account($pending->to);
            [$name->registrar, $name->account, $name->moved, $name->code, $name->reseller] = [
                $account === null ? $pending->to : $account->registrar,
                $account?->number,
                $at,
                null,
                null,
            ];
            // The year that a renewal by itself had just added is taken back (from memory).
            $name->ends = $name->ends === null || $name->has('autoRenewPeriod') ? $name->ends : EndHabit::yearAfter($name->ends);
            $name->change(['ok', 'autoRenewPeriod', 'renewPeriod', 'addPeriod'], ['transferPeriod']);
        }
        $this->store->inbox->endOrders($pending->to, $name->name, str_ends_with($how, 'Approved'));
        foreach ([$from, $pending->to] as $account) {
            $this->store->inbox->leave(
                $account,
                $at,
                "The transfer of {$name->name}: {$how}.",
                json_encode(
                    [
                        'kind' => 'transfer',
                        'name' => $name->name,
                        'from' => $from,
                        'to' => $pending->to,
                        'state' => $how,
                        'asked' => $pending->asked,
                        'at' => $at,
                        'ends' => $name->ends,
                    ],
                    JSON_THROW_ON_ERROR,
                ),
            );
        }
    }

    public function moveTo(int $epoch): void
    {
        $this->clock->set($epoch);
        $this->store->together($this->pass(...));
    }

    /**
     * Adds what a document tells: instant, names, hosts with their addresses, their moods, and what stands in zones.
     *
     * @param  bool  $anew  whether all that was is forgotten first
     */
    public function load(JsonNode $document, bool $anew): void
    {
        $this->store->together(function () use ($document, $anew): void {
            if ($anew) {
                $this->store->empty();
                $this->clock->set($document->intOrNull('now') ?? time());
            }
            foreach ($document->has('accounts') ? $document->nodes('accounts') : [] as $account) {
                $this->store->putAccount(Account::of($account));
            }
            foreach ($document->nodes('names') as $node) {
                $name = Registered::of($node);
                // What should have been charged before this world began was.
                if (($this->till->due($name) ?? PHP_INT_MAX) <= $this->now()) {
                    $name->charged = $name->ends;
                }
                $name->due ??= $this->due($name);
                $this->store->put($name);
                if ($name->holder->handle !== '') {
                    $this->store->putContact($name->holder->handle, $name->account ?? '', json_encode($name->holder, JSON_THROW_ON_ERROR));
                }
            }
            foreach ($document->has('mailboxes') ? $document->nodes('mailboxes') : [] as $mailbox) {
                $this->store->letters->putMailbox(Mailbox::of($mailbox));
            }
            foreach ($document->nodes('hosts') as $host) {
                $this->store->hosts->put($host->text('host'), $host->texts('addresses'));
            }
            foreach ($document->nodes('moods') as $mood) {
                $this->store->hosts->putMood($mood->text('address'), Mood::from($mood->text('mood'))->value);
            }
            foreach ($document->nodes('zones') as $zone) {
                $this->store->hosts->putRecords($zone->text('zone'), $zone->text('records'));
                $this->publishKey($zone->text('zone'), $zone->text('records'));
            }
            foreach ($document->has('pages') ? $document->nodes('pages') : [] as $page) {
                $this->store->pages->put($page->text('host'), $page);
            }
            // Whoever asks next sees what time has brought about by now, and not what a tick later would be otherwise.
            $this->pass();
        });
    }

    /** Its registry was given what its key is (DS), where the zone is told to have `published` it. */
    private function publishKey(string $zone, string $told): void
    {
        $told = JsonNode::read($told, 1_000_000);
        $signed = $told->has('signed') ? $told->nodeOrNull('signed') : null;
        $name = $this->store->name($zone);
        if ($signed?->boolOrNull('published') === true && $name !== null) {
            $key = (new ZoneKeys($this->store))->told($zone, $signed)?->key;
            $ds = $key?->delegate($zone);
            $name->ds = $ds === null ? [] : [[$ds->tag, $ds->algorithm, $ds->digestType, strtoupper(bin2hex($ds->digest))]];
            $this->store->put($name);
        }
    }

    /**
     * Names that somebody was told of; those that this world knows stay as they are here, and so do those that no registry of it has.
     *
     * @return int how many it had not known
     */
    public function meet(JsonNode $document): int
    {
        $met = 0;
        $this->store->together(function () use ($document, &$met): void {
            foreach ($document->nodes('names') as $told) {
                $registry = Registry::for($told->text('name'));
                if ($registry === null || $this->store->name($told->text('name')) !== null) {
                    continue;
                }
                $name = Newcomer::of($told, $registry, $this->store->account($told->text('account')), $this->now());
                $name->due = $this->due($name);
                $this->store->put($name);
                $this->store->putContact($name->holder->handle, $name->account ?? '', json_encode($name->holder, JSON_THROW_ON_ERROR));
                $met++;
            }
            $this->pass();
        });

        return $met;
    }
}
