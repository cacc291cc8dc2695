<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use SensitiveParameter;

/** RFC 5733 §3.1.2 */
final readonly class ContactInfo implements EppCommand
{
    public function __construct(private string $handle, #[SensitiveParameter] private ?string $code = null)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open('info', [], fn (EppWriter $to) => $to->object(EppNamespace::Contact, 'info', function (EppWriter $to): void {
            $to->text('contact:id', $this->handle);
            if ($this->code !== null) {
                $to->open('contact:authInfo', [], fn (EppWriter $to) => $to->text('contact:pw', $this->code));
            }
        }));
    }
}
