<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppExtended;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppWriter;
use LogicException;
use SensitiveParameter;

/** A name or a contact from one sponsor to another (RFC 5731 and 5733, §3.1.3 and §3.2.4 of each). */
final readonly class Transfer implements EppExtended
{
    /**
     * @param  string  $key  a name in A-labels, or a handle
     * @param  string|null  $code  the gaining side needs it
     * @param  int|null  $years  that a name's request adds; null: what the registry adds by itself
     * @param  AgreedFee|null  $fee  that a name's request may cost at most
     */
    public function __construct(
        private EppObject $object,
        private TransferStep $step,
        private string $key,
        #[SensitiveParameter] private ?string $code = null,
        private ?int $years = null,
        private ?AgreedFee $fee = null,
    ) {
        if ($object === EppObject::Host) {
            throw new LogicException('Hosts go with their name (RFC 5732 §3.2.4).');
        }
    }

    public function write(EppWriter $to): void
    {
        $namespace = $this->object->namespace();
        $to->open(
            'transfer',
            ['op' => $this->step->value],
            fn (EppWriter $to) => $to->object($namespace, 'transfer', function (EppWriter $to) use ($namespace): void {
                $to->text($this->object->key(), $this->key);
                if ($this->years !== null && $this->isRequestOfName()) {
                    $to->text('domain:period', (string) $this->years, ['unit' => 'y']);
                }
                if ($this->code !== null) {
                    $to->open(
                        "{$namespace->prefix()}:authInfo",
                        [],
                        fn (EppWriter $to) => $to->text("{$namespace->prefix()}:pw", $this->code),
                    );
                }
            }),
        );
    }

    public function isExtended(): bool
    {
        return $this->fee !== null && $this->isRequestOfName();
    }

    public function writeExtension(EppWriter $to): void
    {
        $this->fee?->write($to, 'transfer');
    }

    private function isRequestOfName(): bool
    {
        return $this->object === EppObject::Domain && $this->step === TransferStep::Request;
    }
}
