<?php

declare(strict_types=1);

namespace App\Actions\People;

use Acre\Wire\Otp\Totp;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use SensitiveParameter;

/** A code by the clock beside the password; each code is taken once. */
final readonly class SecondFactor
{
    private const CODES = 10;

    public function __construct(private Connection $database, private HouseLog $log, private SendChangeNotice $tell)
    {
    }

    /** @return string bytes */
    public static function secret(): string
    {
        return random_bytes(20);
    }

    /**
     * @param  string  $secret  bytes
     * @return list<string>|null recovery codes, to be shown this once; null: the code is wrong
     */
    public function begin(User $user, #[SensitiveParameter] string $secret, #[SensitiveParameter] string $code): ?array
    {
        $step = Totp::step($secret, self::plain($code), time(), null);
        if ($step === null) {
            return null;
        }
        $codes = array_map(fn (): string => implode('-', str_split(bin2hex(random_bytes(8)), 4)), range(1, self::CODES));
        $this->database->transaction(function () use ($user, $secret, $step, $codes): void {
            $user->update(['otp_secret' => $secret, 'otp_step' => $step]);
            $this->database->table('recovery_codes')->where('user_id', $user->id)->delete();
            $this->database
                ->table('recovery_codes')
                ->insert(array_map(fn (string $code): array => ['user_id' => $user->id, 'digest' => self::digest($code)], $codes));
            $this->log->write('second_factor_on', 'person', $user->id, [], $user->id);
            $this->tell->handle($user, 'second_on');
        });

        return $codes;
    }

    /** A code by the clock, or a recovery code, which is used up with that. */
    public function takes(User $user, #[SensitiveParameter] string $code): bool
    {
        $code = self::plain($code);
        $secret = $user->otp_secret;
        $step = $secret === null || preg_match('/^\d{6}$/D', $code) !== 1 ? null : Totp::step($secret, $code, time(), $user->otp_step);
        if ($step !== null) {
            // Of two that bring the same code at once, one is too late.
            return $this->database
                ->table('users')
                ->where('id', $user->id)
                ->where(fn (Builder $last) => $last->whereNull('otp_step')->orWhere('otp_step', '<', $step))
                ->update(['otp_step' => $step]) === 1;
        }
        if ($this->database->table('recovery_codes')->where('user_id', $user->id)->where('digest', self::digest($code))->delete() === 1) {
            $this->log->write('recovery_code_used', 'person', $user->id, [], $user->id);

            return true;
        }

        return false;
    }

    public function end(User $user, ?int $byId = null): void
    {
        $this->database->transaction(function () use ($user, $byId): void {
            $user->update(['otp_secret' => null, 'otp_step' => null]);
            $this->database->table('recovery_codes')->where('user_id', $user->id)->delete();
            $this->log->write('second_factor_off', 'person', $user->id, [], $byId ?? $user->id);
            $this->tell->handle($user, 'second_off');
        });
    }

    public function codesLeft(User $user): int
    {
        return $this->database->table('recovery_codes')->where('user_id', $user->id)->count();
    }

    private static function digest(#[SensitiveParameter] string $code): string
    {
        return hash('sha256', str_replace('-', '', $code));
    }

    private static function plain(#[SensitiveParameter] string $code): string
    {
        return strtolower((string) preg_replace('/[\s-]+/', '', $code));
    }
}
