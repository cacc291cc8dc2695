<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

/** Who must confirm a handover, in which order; only the last one settles it. */
enum Confirms: string
{
    case Nobody = 'nobody';
    case Receiver = 'receiver';
    case GiverThenReceiver = 'giver_then_receiver';
    case ReceiverThenGiver = 'receiver_then_giver';

    /** @return list<LegKind> */
    public function legs(): array
    {
        return match ($this) {
            self::Nobody => [],
            self::Receiver => [LegKind::Accept],
            self::GiverThenReceiver => [LegKind::Confirm, LegKind::Accept],
            self::ReceiverThenGiver => [LegKind::Accept, LegKind::Confirm],
        };
    }
}
