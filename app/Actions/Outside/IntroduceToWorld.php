<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use App\Actions\Imports\NamesBroughtIn;
use App\Outside\World;
use App\Support\Row;
use Illuminate\Database\Connection;

/**
 * Whoever tries the demo brings in names of their own, of which the simulated world has never heard: looked at, every one
 * would be an alarm, and no registrar would take a command of it. So the world has had them all along. Told before they
 * are committed, or somebody might look in between. With real hosts outside there is nobody to tell.
 */
final readonly class IntroduceToWorld
{
    public function __construct(private World $world, private Connection $database)
    {
    }

    public function handle(NamesBroughtIn $names): void
    {
        if (! $this->world->isThere()) {
            return;
        }
        $rows = $this->database->select(
            'SELECT n.ascii, g.name AS shop, g.behind->>0 AS registrar, a.number, r.created_on, r.ends_on, r.statuses, r.lock, r.intent, r.servers, s.registrant, s.mailbox
             FROM names n JOIN registrations r ON r.name_id = n.id AND upper_inf(r.span) JOIN holdings h ON h.registration_id = r.id AND upper_inf(h.span)
             JOIN accounts a ON a.id = h.account_id JOIN registrars g ON g.id = a.registrar_id
             LEFT JOIN standings s ON s.name_id = n.id WHERE n.id = ANY (?::bigint[]) ORDER BY n.id', ['{'.implode(',', $names->nameIds).'}'],
        );
        $told = array_map(fn (Row $row): array => [
            'name' => $row->text('ascii'), 'shop' => $row->text('shop'), 'registrar' => $row->textOrNull('registrar'), 'account' => $row->text('number'),
            'created' => $row->instant('created_on')?->epoch, 'ends' => $row->instant('ends_on')?->epoch,
            'statuses' => array_values(array_filter($row->json('statuses'), is_string(...))), 'isLocked' => $row->text('lock') === Lock::On->value, 'renews' => $row->text('intent') === Intent::ByItself->value,
            'servers' => array_values(array_filter($row->json('servers'), is_string(...))), 'holder' => $row->textOrNull('registrant'), 'mailbox' => $row->textOrNull('mailbox'),
        ], Row::all($rows));
        // A world that is down keeps no list from being brought in.
        rescue(fn () => $this->world->meet($told));
    }
}
