<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** The losing side's answer to what another registrar asked for. */
final readonly class AnswerTransfer extends Order
{
    public function __construct(string $transaction, string $name, public bool $isYes)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return $this->isYes ? OrderKind::ApproveTransfer : OrderKind::RefuseTransfer;
    }
}
