<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Actions\Links\OpenLink;
use App\Models\LinkPurpose;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Database\Connection;
use SensitiveParameter;

/** Somebody sets their own password; whoever is signed in as them elsewhere is signed out. */
final readonly class SetPassword
{
    public function __construct(
        private Connection $database,
        private OpenLink $links,
        private SendChangeNotice $tell,
        private HouseLog $log,
    ) {
    }

    /**
     * Behind the link of a letter, which is used with that. The second factor is asked for as before when they sign in.
     *
     * @return bool false: the link is no longer valid
     */
    public function byLink(string $token, #[SensitiveParameter] string $password): bool
    {
        return $this->database->transaction(function () use ($token, $password): bool {
            $link = $this->links->handle($token, lock: true);
            $user =
                $link?->purpose !== LinkPurpose::SetPassword
                    ? null
                    : User::query()->where('may_sign_in', true)->lockForUpdate()->find($link->user_id);
            if ($link === null || $user === null) {
                return false;
            }
            $this->database->update('UPDATE links SET used_at = clock_timestamp() WHERE id = ?', [$link->id]);
            $this->set($user, $password, null);

            return true;
        });
    }

    /** @param  string  $session  the one that stays */
    public function change(User $user, #[SensitiveParameter] string $password, string $session): void
    {
        $this->database->transaction(fn () => $this->set($user, $password, $session));
    }

    private function set(User $user, #[SensitiveParameter] string $password, ?string $session): void
    {
        $isFirst = $user->password === null;
        $user->update(['password' => $password, 'password_set_at' => gmdate('c')]);
        $this->database
            ->table('sessions')
            ->where('user_id', $user->id)
            ->when($session !== null, fn ($others) => $others->where('id', '<>', $session))
            ->delete();
        // A link that still lies in a mailbox must not set it back.
        $this->database->update(
            'UPDATE links SET withdrawn_at = clock_timestamp() WHERE user_id = ? AND used_at IS NULL AND withdrawn_at IS NULL',
            [$user->id],
        );
        $this->log->write('password_set', 'person', $user->id, [], $user->id);
        if (! $isFirst) {
            $this->tell->handle($user, 'password');
        }
    }
}
