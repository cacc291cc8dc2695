<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Orders\ReceiveMessages;
use App\Actions\Orders\SendOrders;
use Illuminate\Console\Command;

/** Tells an account's gate what waits to be told, and takes what waits there, here and now, as its job would. */
final class WorkGate extends Command
{
    protected $signature = 'acre:work-gate {account : its id}';

    protected $description = 'Send an account’s orders to its registrar, and receive its messages';

    public function handle(SendOrders $tell, ReceiveMessages $take): int
    {
        $account = (int) $this->argument('account');
        while ($tell->handle($account)) {
            // There is more.
        }
        $take->handle($account);

        return self::SUCCESS;
    }
}
