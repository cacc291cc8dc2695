<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\Phase;

/** Object statuses of RFC 5731 §2.3, and the grace periods that RFC 3915 §3.1 shows as statuses. */
enum Status: string
{
    case Ok = 'ok';
    case Inactive = 'inactive';
    case ClientHold = 'clientHold';
    case ServerHold = 'serverHold';
    case ClientTransferProhibited = 'clientTransferProhibited';
    case ServerTransferProhibited = 'serverTransferProhibited';
    case ClientUpdateProhibited = 'clientUpdateProhibited';
    case ServerUpdateProhibited = 'serverUpdateProhibited';
    case ClientRenewProhibited = 'clientRenewProhibited';
    case ServerRenewProhibited = 'serverRenewProhibited';
    case ClientDeleteProhibited = 'clientDeleteProhibited';
    case ServerDeleteProhibited = 'serverDeleteProhibited';
    case PendingCreate = 'pendingCreate';
    case PendingDelete = 'pendingDelete';
    case PendingRenew = 'pendingRenew';
    case PendingTransfer = 'pendingTransfer';
    case PendingUpdate = 'pendingUpdate';
    case PendingRestore = 'pendingRestore';
    case AddPeriod = 'addPeriod';
    case AutoRenewPeriod = 'autoRenewPeriod';
    case RenewPeriod = 'renewPeriod';
    case TransferPeriod = 'transferPeriod';
    case RedemptionPeriod = 'redemptionPeriod';

    /** As people and spreadsheets write it: any capitals, with blanks, hyphens or underscores. */
    public static function read(string $text): ?self
    {
        $wanted = strtolower((string) preg_replace('/[\s_-]+/', '', $text));
        foreach (self::cases() as $status) {
            if (strtolower($status->value) === $wanted) {
                return $status;
            }
        }

        return null;
    }

    /** As a directory says it (RFC 8056 §2): EPP's words with blanks, and `active` for `ok`. */
    public static function ofDirectory(string $text): ?self
    {
        return strtolower(trim($text)) === 'active' ? self::Ok : self::read($text);
    }

    /**
     * The phase that they prove together, if they prove one: in redemption a name is pending delete as well (RFC 3915 §3.1).
     *
     * @param  list<self>  $statuses
     */
    public static function proven(array $statuses): ?Phase
    {
        $proven = null;
        foreach ($statuses as $status) {
            $phase = $status->phase();
            if ($phase === Phase::Redemption) {
                return $phase;
            }
            $proven = $proven === Phase::PendingDelete ? $proven : $phase ?? $proven;
        }

        return $proven;
    }

    /** Whether it says that a name is deleted, or switched off. */
    public function tellsOfLife(): bool
    {
        return $this->phase()?->isDeleted() === true || $this === self::ClientHold || $this === self::ServerHold;
    }

    /** The phase that it proves, if it proves one. */
    public function phase(): ?Phase
    {
        return match ($this) {
            self::AutoRenewPeriod => Phase::Grace,
            self::RedemptionPeriod, self::PendingRestore => Phase::Redemption,
            self::PendingDelete => Phase::PendingDelete,
            default => null,
        };
    }
}
