<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use SensitiveParameter;

/** RFC 5731 §3.2.1 */
final readonly class DomainCreate implements EppCommand
{
    /**
     * @param  int  $years  1 to 99; each registry sells fewer
     * @param  list<string>  $servers  hosts that the server has as objects
     * @param  array<'admin'|'billing'|'tech', string>  $contacts  handles by role
     */
    public function __construct(
        private string $name,
        private int $years,
        private array $servers,
        private ?string $registrant,
        private array $contacts,
        #[SensitiveParameter] private string $code,
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
}
