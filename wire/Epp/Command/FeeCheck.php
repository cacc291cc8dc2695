<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppExtended;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppWriter;

/** Whether names could be created, and what commands for them would cost (RFC 8748 §5.1.1). */
final readonly class FeeCheck implements EppExtended
{
    /**
     * @param  non-empty-list<string>  $names  in A-labels
     * @param  non-empty-array<'create'|'renew'|'transfer'|'restore', int|null>  $commands  years by command; null: what the server takes by
     *     itself
     * @param  string|null  $currency  ISO 4217; null: the server's own
     */
    public function __construct(private array $names, private array $commands, private ?string $currency = null)
    {
    }

    public function write(EppWriter $to): void
    {
        (new Check(EppObject::Domain, $this->names))->write($to);
    }

    public function isExtended(): bool
    {
        return true;
    }

    public function writeExtension(EppWriter $to): void
    {
        $to->object(EppNamespace::Fee, 'check', function (EppWriter $to): void {
            if ($this->currency !== null) {
                $to->text('fee:currency', $this->currency);
            }
            foreach ($this->commands as $command => $years) {
                $to->open(
                    'fee:command',
                    ['name' => $command],
                    fn (EppWriter $to) => $years === null ? $to : $to->text('fee:period', (string) $years, ['unit' => 'y']),
                );
            }
        });
    }
}
