<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\Data\PostalInfo;
use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use SensitiveParameter;

/** RFC 5733 §3.2.1 */
final readonly class ContactCreate implements EppCommand
{
    /**
     * @param  non-empty-list<PostalInfo>  $postal  one of each form at most
     * @param  string|null  $voice  `+CC.NNN` (§2.5)
     */
    public function __construct(
        private string $handle,
        private array $postal,
        private ?string $voice,
        private string $mailbox,
        #[SensitiveParameter] private string $code,
        private ?Disclose $disclose = null,
    ) {
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'create',
            [],
            fn (EppWriter $to) => $to->object(EppNamespace::Contact, 'create', function (EppWriter $to): void {
                $to->text('contact:id', $this->handle);
                foreach ($this->postal as $postal) {
                    $postal->write($to);
                }
                if ($this->voice !== null) {
                    $to->text('contact:voice', $this->voice);
                }
                $to->text('contact:email', $this->mailbox);
                $to->open('contact:authInfo', [], fn (EppWriter $to) => $to->text('contact:pw', $this->code));
                $this->disclose?->write($to);
            }),
        );
    }
}
