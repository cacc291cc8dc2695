<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use App\Jobs\SendPost;
use App\Models\Drift;
use App\Models\Right;
use App\Models\Role;
use App\Models\User;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;
use Illuminate\Routing\UrlGenerator;

/** Writes at once to whoever may act: a name is leaving or stops working, and we did not do it. One letter a reader, however many names. */
final readonly class SendAlarms
{
    /** Names that one letter tells of. */
    private const MOST = 100;

    public function __construct(
        private Connection $database,
        private TradeClock $clock,
        private Words $words,
        private UrlGenerator $urls,
    ) {
    }

    public function handle(): void
    {
        $this->database->transaction($this->write(...));
        SendPost::dispatch();
    }

    private function write(): void
    {
        $drifts = Drift::query()
            ->with('name')
            ->where('alarming', true)
            ->open()
            ->whereNull('told_at')
            ->orderBy('cost')
            ->orderBy('id')
            ->limit(self::MOST)
            ->lock('FOR UPDATE SKIP LOCKED')
            ->get();
        if ($drifts->isEmpty()) {
            return;
        }
        $now = $this->clock->now();
        Drift::query()
            ->whereIn('id', $drifts->modelKeys())
            ->update(['told_at' => $now->isoSecond()]);
        $names = $drifts->pluck('name_id')->unique()->count();
        $first = $drifts->firstOrFail()->name->unicode;
        $lines = $drifts
            ->map(
                fn (Drift $drift): string => "{$drift->name->unicode}\n  {$this->words->stored($drift->said)}.\n  {$this->urls->route(
                    'record.show',
                    $drift->name,
                )}",
            )
            ->implode("\n\n");
        $roles = array_values(array_filter(Role::cases(), fn (Role $role): bool => $role->may(Right::Settle)));
        foreach (User::query()->whereIn('role', $roles)->where('may_sign_in', true)->orderBy('id')->get() as $user) {
            $this->database->table('letters')->insertOrIgnore([
                'user_id' => $user->id,
                'mailbox' => $user->email,
                'kind' => 'alarm',
                'about' => implode(' ', array_slice($drifts->modelKeys(), 0, 3)),
                'day' => $now->date(),
                'written_on' => $now->isoSecond(),
                'subject' => $this->words->say($names === 1 ? 'outside.alarm.subject_one' : 'outside.alarm.subject', [
                    'name' => $first,
                    'names' => (string) $names,
                ]),
                'body' => $this->words->say('outside.alarm.body', ['lines' => $lines]),
            ]);
        }
    }
}
