<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\SeenOutside;
use App\Actions\Deeds\Ticked;
use App\Models\DocketLine;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Names\HeldCase;
use App\Queries\Names\OpenDrift;

/** The registrar's transfer lock, set or lifted. */
final class ChangeLock extends DeedAtRegistrar implements SeenOutside, Ticked
{
    public static function key(): string
    {
        return 'change_lock';
    }

    public function terms(array $said): ?array
    {
        $lock = is_string($said['lock'] ?? null) ? Lock::tryFrom($said['lock']) : null;

        return $lock === null || $lock === Lock::NotKnown ? null : ['lock' => $lock->value];
    }

    public function said(array $terms): array
    {
        return ['lock' => self::lock($terms)->value];
    }

    public function isSeen(DocketLine $line, array $terms, Record $record): bool
    {
        return $record->saysStatuses() && $record->has(Status::ClientTransferProhibited) === (self::lock($terms) === Lock::On);
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        return $file->facts->lock === self::lock($line->docket->terms);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $before = self::word($file->facts->lock);
        if ($this->differs($file)) {
            $said = __('deeds.change_lock.differs', [
                'here' => $before,
                'there' => self::word($file->facts->lock === Lock::On ? Lock::Off : Lock::On),
            ]);
            $before = is_string($said) ? $said : $before;
        }

        return ['before' => ['lock' => $before], 'after' => ['lock' => self::word(self::lock($terms))]];
    }

    protected function order(array $terms): OrderKind
    {
        return self::lock($terms) === Lock::On ? OrderKind::LockOn : OrderKind::LockOff;
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return $file->facts->lock === self::lock($terms) && ! $this->differs($file);
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        $rules = $this->book->for($file->facts->name->suffix(), $now);

        return match (true) {
            ! $rules->hasLock->value => [Finding::of(BookFinding::NoLock, Effect::Stops, null, suffix: $file->facts->name->suffix())],
            $file->facts->isUpdateProhibited() => [
                Finding::of(BookFinding::UpdatesProhibited, Effect::Stops),
            ],
            $file->waiting !== null && self::lock($terms) === Lock::On => [
                Finding::of(BookFinding::LockStopsMovement, Effect::Worth, null, docket: $file->waiting->docket),
            ],
            default => [],
        };
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        $registration->lock = self::lock($terms);

        return ['lock'];
    }

    protected function inWords(array $terms): array
    {
        $said = __('deeds.change_lock.to.'.self::lock($terms)->value);

        return ['change' => is_string($said) ? $said : ''];
    }

    /** Whether the record says otherwise than our books. */
    private function differs(HeldCase $file): bool
    {
        return array_filter(
            $file->drifts,
            fn (OpenDrift $drift): bool => in_array($drift->tag, [RecordFinding::LockIsOn, RecordFinding::LockIsOff], true),
        ) !== [];
    }

    /** @param  array<string, mixed>  $terms */
    private static function lock(array $terms): Lock
    {
        return Lock::from(is_string($terms['lock'] ?? null) ? $terms['lock'] : '');
    }

    private static function word(Lock $lock): string
    {
        $said = __('words.lock.'.$lock->value);

        return is_string($said) ? $said : $lock->value;
    }
}
