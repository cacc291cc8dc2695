<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Secret;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Part of `./acre new-key`: whatever was encrypted with an older key is written with the new one. Run twice, it does no harm. */
final class Reencrypt extends Command
{
    private const TOGETHER = 200;

    protected $signature = 'acre:reencrypt';

    protected $description = 'Encrypt every secret with the present key';

    public function handle(): int
    {
        $count = 0;
        Secret::query()->orderBy('id')->chunkById(self::TOGETHER, function ($secrets) use (&$count): void {
            DB::transaction(function () use ($secrets, &$count): void {
                foreach ($secrets as $secret) {
                    $locked = Secret::query()->lockForUpdate()->find($secret->id);
                    $locked?->forceFill(['value' => $locked->value])->save();
                    $count++;
                }
            });
        });
        foreach (User::query()->whereNotNull('otp_secret')->orderBy('id')->pluck('id') as $id) {
            DB::transaction(function () use ($id, &$count): void {
                $user = User::query()->whereKey($id)->lockForUpdate()->first();
                $user?->forceFill(['otp_secret' => $user->otp_secret])->save();
                $count++;
            });
        }
        $this->line("{$count} secrets were encrypted with the new key.");

        return self::SUCCESS;
    }
}
