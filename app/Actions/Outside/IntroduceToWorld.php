<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use App\Actions\Imports\ImportedNames;
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

    public function handle(ImportedNames $names): void
    {
        if (! $this->world->isThere()) {
            return;
        }
        $rows = $this->database->select(
            // By each name's own row: of registrations that were just written there are no statistics.
            'SELECT s.ascii, s.registrar_name, g.behind->>0 AS registrar, s.account_number, s.created_on, s.ends_on, s.lock, s.intent,
                s.servers, s.registrant, s.mailbox,
                (SELECT r.statuses FROM registrations r WHERE r.name_id = s.name_id AND upper_inf(r.span)) AS statuses
             FROM standings s JOIN registrars g ON g.id = s.registrar_id WHERE s.name_id = ANY (?::bigint[]) ORDER BY s.name_id',
            ['{'.implode(',', $names->nameIds).'}'],
        );
        $told = array_map(
            fn (Row $row): array => [
                'name' => $row->text('ascii'),
                'shop' => $row->text('registrar_name'),
                'registrar' => $row->textOrNull('registrar'),
                'account' => $row->text('account_number'),
                'created' => $row->instant('created_on')?->epoch,
                'ends' => $row->instant('ends_on')?->epoch,
                'statuses' => array_values(array_filter($row->json('statuses'), is_string(...))),
                'isLocked' => $row->text('lock') === Lock::On->value,
                'renews' => $row->text('intent') === Intent::ByItself->value,
                'servers' => array_values(array_filter(explode(' ', $row->text('servers')), fn (string $host): bool => $host !== '')),
                'holder' => $row->textOrNull('registrant'),
                'mailbox' => $row->textOrNull('mailbox'),
            ],
            Row::all($rows),
        );
        // A world that is down keeps no list from being brought in.
        rescue(fn () => $this->world->meet($told));
    }
}
