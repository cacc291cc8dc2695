<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\SeenOutside;
use App\Models\DocketLine;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Names\HeldCase;
use App\Queries\Names\OpenDrift;

/** A transfer that we did not start is refused at the losing registrar, before its five days are over. */
final class RefuseTransfer extends DeedAtRegistrar implements SeenOutside
{
    public static function key(): string
    {
        return 'refuse_transfer';
    }

    /** There is nothing to choose. */
    public function terms(array $said): array
    {
        return ['what' => 'transfer'];
    }

    public function said(array $terms): array
    {
        return [];
    }

    /** That it is being transferred is the reason, and not in the way. */
    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $others = array_filter(
            parent::judge($file, $terms, $now)->findings,
            fn (Finding $one): bool => $one->tag !== RecordFinding::TransferNotOurs,
        );

        return Readiness::of(array_values($others), []);
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        // Nothing of the name changes: it stays where it is.
    }

    public function isSeen(DocketLine $line, array $terms, Record $record): bool
    {
        return $record->saysStatuses() && ! $record->has(Status::PendingTransfer);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        return [
            'before' => ['transfer' => self::text('deeds.refuse_transfer.before')],
            'after' => ['transfer' => self::text('deeds.refuse_transfer.then', ['registrar' => $file->account->registrarName])],
        ];
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::RefuseTransfer;
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return false;
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        $isSeen = $file->facts->has(Status::PendingTransfer) ||
            array_filter($file->drifts, fn (OpenDrift $drift): bool => $drift->tag === RecordFinding::TransferNotOurs) !== [];

        return match (true) {
            // Ours is called off on its own docket.
            $file->waiting !== null => [
                Finding::of(BookFinding::StillBegun, Effect::Stops, null, docket: $file->waiting->docket),
            ],
            ! $isSeen => [Finding::of(BookFinding::NoTransferSeen, Effect::Worth)],
            default => [],
        };
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        return ['transfer'];
    }

    protected function inWords(array $terms): array
    {
        return [];
    }
}
