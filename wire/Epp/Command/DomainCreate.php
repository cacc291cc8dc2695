<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\Data\SigningKey;
use Acre\Wire\Epp\EppExtended;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use SensitiveParameter;

/** RFC 5731 §3.2.1, with delegation signers (RFC 5910 §5.2.1) and what it may cost (RFC 8748 §5.2.1) */
final readonly class DomainCreate implements EppExtended
{
    /**
     * @param  int  $years  1 to 99; each registry sells fewer
     * @param  list<string>  $servers  hosts that the server has as objects
     * @param  array<'admin'|'billing'|'tech', string>  $contacts  handles by role
     * @param  list<SigningKey>  $keys
     */
    public function __construct(
        private string $name,
        private int $years,
        private array $servers,
        private ?string $registrant,
        private array $contacts,
        #[SensitiveParameter] private string $code,
        private array $keys = [],
        private ?AgreedFee $fee = null,
    ) {
    }

    public function write(EppWriter $to): void
    {
        $to->open('create', [], fn (EppWriter $to) => $to->object(EppNamespace::Domain, 'create', function (EppWriter $to): void {
            $to->text('domain:name', $this->name)->text('domain:period', (string) $this->years, ['unit' => 'y']);
            if ($this->servers !== []) {
                $to->open('domain:ns', [], fn (EppWriter $to) => $to->texts('domain:hostObj', $this->servers));
            }
            if ($this->registrant !== null) {
                $to->text('domain:registrant', $this->registrant);
            }
            foreach ($this->contacts as $role => $handle) {
                $to->text('domain:contact', $handle, ['type' => $role]);
            }
            $to->open('domain:authInfo', [], fn (EppWriter $to) => $to->text('domain:pw', $this->code));
        }));
    }

    public function isExtended(): bool
    {
        return $this->keys !== [] || $this->fee !== null;
    }

    public function writeExtension(EppWriter $to): void
    {
        if ($this->keys !== []) {
            $to->object(EppNamespace::SecDns, 'create', function (EppWriter $to): void {
                foreach ($this->keys as $key) {
                    $key->write($to);
                }
            });
        }
        $this->fee?->write($to, 'create');
    }
}
