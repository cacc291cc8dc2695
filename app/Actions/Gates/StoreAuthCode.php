<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Models\AuthCode;
use App\Models\Secret;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use SensitiveParameter;

/** Keeps, replaces, shows or forgets the code with which a name goes to another registrar. */
final readonly class StoreAuthCode
{
    public function __construct(private Connection $database, private TradeClock $clock, private HouseLog $log)
    {
    }

    /**
     * @param  string|null  $code  null: forget it
     * @param  'registrar'|'typed'  $from
     */
    public function handle(int $nameId, #[SensitiveParameter] ?string $code, string $from, ?User $user = null): void
    {
        $this->database->transaction(function () use ($nameId, $code, $from, $user): void {
            $before = AuthCode::query()->lockForUpdate()->find($nameId);
            if ($code === null) {
                $before?->delete();
            } else {
                $secret = Secret::query()->create(['kind' => 'auth_code', 'about' => "name {$nameId}", 'value' => $code]);
                AuthCode::query()->updateOrCreate(
                    ['name_id' => $nameId],
                    ['secret_id' => $secret->id, 'got_on' => $this->clock->now(), 'got_from' => $from, 'fits' => null],
                );
            }
            if ($before !== null) {
                Secret::query()->whereKey($before->getOriginal('secret_id'))->delete();
            }
            $this->log->write($code === null ? 'code_forgotten' : 'code_kept', 'name', $nameId, ['from' => $from], $user?->id);
        });
    }

    /** @return string|null null: none is kept */
    public function show(User $user, int $nameId): ?string
    {
        $kept = AuthCode::query()->find($nameId);
        if ($kept === null) {
            return null;
        }
        $this->log->write('code_shown', 'name', $nameId, [], $user->id);

        return Secret::query()->findOrFail($kept->secret_id)->value;
    }
}
