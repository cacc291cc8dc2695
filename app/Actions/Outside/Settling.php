<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Lifecycle\Lock;
use Acre\Core\Record\RecordFinding;
use App\Actions\Books\RemoveNames;
use App\Actions\Registrar\ChangeDisclosure;
use App\Actions\Registrar\ChangeLock;
use App\Actions\Registrar\RefuseTransfer;
use App\Actions\Registrar\RestoreServers;

/** The ways to settle what differs: take it, put it right outside where a deed can, or leave it. */
final class Settling
{
    /** @return array<string, array{string, array<string, string>}> by way: the key of its deed, and its terms as an address says them */
    public static function of(RecordFinding $finding): array
    {
        $what = ['what' => $finding->about()->value];

        return array_filter([
            'take' => match (true) {
                $finding === RecordFinding::OtherRegistrar => [RemoveNames::key(), ['then' => RemoveNames::WATCH]],
                $finding === RecordFinding::NotInDirectory => [RemoveNames::key(), ['then' => RemoveNames::END]],
                // What was not done is nothing to record; and nothing is pressed here that reads like consent to a transfer.
                $finding === RecordFinding::NotRenewed, $finding === RecordFinding::TransferNotOurs => null,
                default => $finding->about()->canBeTaken() ? [UpdateOurRecord::key(), $what] : null,
            },
            'right' => match ($finding) {
                RecordFinding::LockIsOff => [ChangeLock::key(), ['lock' => Lock::On->value]],
                RecordFinding::ShownMore, RecordFinding::HiddenMore => [ChangeDisclosure::key(), []],
                RecordFinding::ServersChanged => [RestoreServers::key(), []],
                RecordFinding::TransferNotOurs => [RefuseTransfer::key(), []],
                RecordFinding::LockIsOn => [ChangeLock::key(), ['lock' => Lock::Off->value]],
                default => null,
            },
            'leave' => [KeepOurRecord::key(), $what],
        ]);
    }
}
