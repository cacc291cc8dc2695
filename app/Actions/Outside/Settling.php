<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Lifecycle\Lock;
use Acre\Core\Record\RecordFinding;
use App\Actions\Books\LetGo;
use App\Actions\Registrar\ChangeDisclosure;
use App\Actions\Registrar\ChangeLock;
use App\Actions\Registrar\PutServersBack;

/** The ways to settle what differs: take it, put it right outside where a deed can, or leave it. */
final class Settling
{
    /** @return array<string, array{string, array<string, string>}> by way: the key of its deed, and its terms as an address says them */
    public static function of(RecordFinding $finding): array
    {
        $what = ['what' => $finding->about()->value];

        return array_filter([
            'take' => match (true) {
                $finding === RecordFinding::OtherRegistrar => [LetGo::key(), ['then' => LetGo::WATCH]],
                $finding === RecordFinding::NotInDirectory => [LetGo::key(), ['then' => LetGo::END]],
                // What was not done is nothing to write down; and nothing is pressed here that reads like consent to a transfer.
                $finding === RecordFinding::NotRenewed, $finding === RecordFinding::TransferNotOurs => null,
                default => $finding->about()->canBeTaken() ? [TakeObserved::key(), $what] : null,
            },
            'right' => match ($finding) {
                RecordFinding::LockIsOff => [ChangeLock::key(), ['lock' => Lock::On->value]],
                RecordFinding::ShownMore, RecordFinding::HiddenMore => [ChangeDisclosure::key(), []],
                RecordFinding::ServersChanged => [PutServersBack::key(), []],
                RecordFinding::LockIsOn => [ChangeLock::key(), ['lock' => Lock::Off->value]],
                default => null,
            },
            'leave' => [LeaveDrift::key(), $what],
        ]);
    }
}
