<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Who is the registrant of a name today: a view over roles, contacts and mailboxes, only to be read.
 *
 * @property int $name_id
 * @property int $contact_id
 * @property string $called empty where only a mailbox is known
 * @property string|null $address of its mailbox
 * @property string|null $site A-labels of the name that the mailbox lies in
 */
final class Registrant extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'name_id';
}
