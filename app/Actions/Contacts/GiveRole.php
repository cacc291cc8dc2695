<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Contact\RoleKind;
use App\Models\Contact;
use App\Models\Name;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\OpenSpans;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Gives or ends roles other than the registrant's; who had one when stays readable. */
final readonly class GiveRole
{
    public function __construct(private Connection $database, private TradeClock $clock, private HouseLog $log)
    {
    }

    /** @return bool false: it has that role already */
    public function give(User $user, Name $name, Contact $contact, RoleKind $role): bool
    {
        return $this->database->transaction(function () use ($user, $name, $contact, $role): bool {
            Name::query()->whereKey($name->id)->lockForUpdate()->firstOrFail();
            $given = $this->database->affectingStatement(
                'INSERT INTO roles (name_id, registration_id, contact_id, role, span) SELECT r.name_id, r.id, ?, ?,
                    tstzrange(?::timestamptz, NULL) FROM registrations r WHERE r.name_id = ? AND upper_inf(r.span)
                 AND NOT EXISTS (SELECT 1 FROM roles o WHERE o.name_id = r.name_id AND o.contact_id = ? AND o.role = ?
                 AND upper_inf(o.span))',
                [$contact->id, $role->value, $this->clock->now()->isoSecond(), $name->id, $contact->id, $role->value],
            );
            if ($given > 0) {
                $this->log->write('role_given', 'name', $name->id, ['contact' => $contact->id, 'role' => $role->value], $user->id);
            }

            return $given > 0;
        });
    }

    public function end(User $user, Name $name, Contact $contact, RoleKind $role): void
    {
        $this->database->transaction(function () use ($user, $name, $contact, $role): void {
            OpenSpans::end(
                $this->database,
                'roles',
                'name_id = ? AND contact_id = ? AND role = ?',
                [$name->id, $contact->id, $role->value],
                $this->clock->now(),
            );
            $this->log->write('role_ended', 'name', $name->id, ['contact' => $contact->id, 'role' => $role->value], $user->id);
        });
    }
}
