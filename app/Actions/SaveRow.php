<?php

declare(strict_types=1);

namespace App\Actions;

use App\Actions\Gates\WithdrawOrders;
use App\Actions\Standings\MakeStandings;
use App\Models\Account;
use App\Models\Client;
use App\Models\Custodian;
use App\Models\Guarded;
use App\Models\LetterText;
use App\Models\NamedPlace;
use App\Models\NamedSet;
use App\Models\Pattern;
use App\Models\Registrar;
use App\Models\User;
use App\Support\ChangedMeanwhile;
use App\Support\Changes;
use App\Support\HouseLog;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\Connection;

/** Records a row of the house's own, new or changed, and lets the standings that rest on it be made again. */
final readonly class SaveRow
{
    public function __construct(
        private Connection $database,
        private MakeStandings $standings,
        private WithdrawOrders $withdraw,
        private HouseLog $log,
    ) {
    }

    /**
     * @template T of Client|Registrar|Account|Pattern|Custodian|LetterText|NamedSet|NamedPlace
     *
     * @param  T  $row
     * @param  array<string, mixed>  $values
     * @param  int|null  $version  the one that the form was made from; null for a new row
     * @return T
     *
     * @throws ChangedMeanwhile when somebody else has saved since
     * @throws AuthorizationException when they may not change what is guarded
     */
    public function handle(
        User $user,
        Client|Registrar|Account|Pattern|Custodian|LetterText|NamedSet|NamedPlace $row,
        array $values,
        ?int $version,
    ): Client|Registrar|Account|Pattern|Custodian|LetterText|NamedSet|NamedPlace {
        $subject = match (true) {
            $row instanceof Client => 'client',
            $row instanceof Registrar => 'registrar',
            $row instanceof Account => 'account',
            $row instanceof Pattern => 'pattern',
            $row instanceof Custodian => 'custodian',
            $row instanceof LetterText => 'letter_text',
            $row instanceof NamedSet => 'server_set',
            $row instanceof NamedPlace => 'place',
        };
        // Names are judged by these alone.
        $whose = match (true) {
            $row instanceof Client => 'client_id',
            $row instanceof Registrar => 'registrar_id',
            $row instanceof Account => 'account_id',
            default => null,
        };
        $this->database->transaction(function () use ($user, $row, $values, $version, $subject, $whose): void {
            if (Guarded::against($user, $row, $values) !== []) {
                throw new AuthorizationException();
            }
            if ($version === null) {
                $row->fill($values)->save();
                $this->log->write('made', $subject, $row->id, [], $user->id);

                return;
            }
            $row->newQuery()->lockForUpdate()->findOrFail($row->id);
            $changed = Changes::save($row->refresh(), $values, $version);
            if ($changed !== []) {
                if ($whose !== null) {
                    $this->standings->stale($whose, $row->id);
                }
                if ($row instanceof Registrar && $row->link === 'slip' && array_key_exists('link', $changed)) {
                    foreach ($row->accounts()->whereNotNull('gate_secret_id')->orderBy('id')->pluck('id') as $account) {
                        $this->withdraw->ofAccount(is_int($account) ? $account : 0, $user->id);
                    }
                }
                $this->log->write('changed', $subject, $row->id, ['fields' => array_keys($changed)], $user->id);
            }
        });
        if ($version !== null && $whose !== null) {
            $this->standings->soon($whose, $row->id);
        }

        return $row;
    }
}
