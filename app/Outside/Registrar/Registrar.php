<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use Acre\Core\Money\Money;
use App\Models\Account;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Orders\Order;

/**
 * A registrar that takes commands, for the accounts that are ours to act in. One adapter a kind of link; a slip has none, because a person
 * acts.
 */
interface Registrar
{
    /** @throws NotReached when no answer came: what became of the order must be found out by asking */
    public function carryOut(Account $account, Order $order): Answer;

    /**
     * What became of an order that was sent and never answered.
     *
     * @return Answer|null null: it was not carried out, and may be told again
     *
     * @throws NotReached
     */
    public function find(Account $account, Order $order): ?Answer;

    /**
     * Signs in and asks nothing but who one is.
     *
     * @return string what the registrar says to that
     *
     * @throws NotReached
     */
    public function greet(Account $account): string;

    /**
     * What the account holds.
     *
     * @return Money|null null: the registrar says nothing of it
     *
     * @throws NotReached
     */
    public function balance(Account $account): ?Money;

    /**
     * What a year of names costs.
     *
     * @param  non-empty-list<string>  $names  A-labels
     * @return array<string, AskedPrice>|null by name, those that it says; null: the registrar says no prices
     *
     * @throws NotReached
     */
    public function prices(Account $account, array $names): ?array;

    /**
     * What was taken from the account, and paid in.
     *
     * @param  string  $after  the registrar's id of the last entry that is known; empty: none is
     * @return AccountEntries|null null: the registrar says nothing of it
     *
     * @throws NotReached
     */
    public function entries(Account $account, string $after): ?AccountEntries;

    /**
     * Whether it renews a name by itself.
     *
     * @param  string  $ascii  the name
     * @return bool|null null: the registrar says nothing of it, or doesn't have the name
     *
     * @throws NotReached
     */
    public function renews(Account $account, string $ascii): ?bool;

    /**
     * Takes what waits for the account, one after the other. What is told is acknowledged when the callback has come back.
     *
     * @param  callable(Message): void  $keep
     *
     * @throws NotReached
     */
    public function messages(Account $account, callable $keep): void;
}
