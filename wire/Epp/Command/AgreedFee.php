<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** What a command may cost: a server that asks for more refuses it (RFC 8748 §5.2). */
final readonly class AgreedFee
{
    /**
     * @param  string  $amount  a decimal, as `5.00`
     * @param  string  $currency  ISO 4217
     */
    public function __construct(private string $amount, private string $currency)
    {
    }

    /** @param  'create'|'renew'|'transfer'|'update'  $command */
    public function write(EppWriter $to, string $command): void
    {
        $to->object(
            EppNamespace::Fee,
            $command,
            fn (EppWriter $to) => $to->text('fee:currency', $this->currency)->text('fee:fee', $this->amount),
        );
    }
}
