<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use SensitiveParameter;

/** RFC 5731 §3.1.3 and §3.2.4 */
final readonly class DomainTransfer implements EppCommand
{
    /**
     * @param  string|null  $code  the gaining side needs it
     * @param  int|null  $years  that a request adds; null: what the registry adds by itself
     */
    public function __construct(private TransferStep $step, private string $name, #[SensitiveParameter] private ?string $code = null, private ?int $years = null)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open('transfer', ['op' => $this->step->value], fn (EppWriter $to) => $to->object(EppNamespace::Domain, 'transfer', function (EppWriter $to): void {
            $to->text('domain:name', $this->name);
            if ($this->years !== null && $this->step === TransferStep::Request) {
                $to->text('domain:period', (string) $this->years, ['unit' => 'y']);
            }
            if ($this->code !== null) {
                $to->open('domain:authInfo', [], fn (EppWriter $to) => $to->text('domain:pw', $this->code));
            }
        }));
    }
}
