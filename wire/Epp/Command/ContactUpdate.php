<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\Data\PostalInfo;
use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** RFC 5733 §3.2.5: what is given replaces what was; an address is replaced whole. */
final readonly class ContactUpdate implements EppCommand
{
    /** @param  list<PostalInfo>  $postal */
    public function __construct(
        private string $handle,
        private array $postal = [],
        private ?string $voice = null,
        private ?string $mailbox = null,
        private ?Disclose $disclose = null,
    ) {
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'update',
            [],
            fn (EppWriter $to) => $to->object(EppNamespace::Contact, 'update', function (EppWriter $to): void {
                $to->text('contact:id', $this->handle);
                $to->open('contact:chg', [], function (EppWriter $to): void {
                    foreach ($this->postal as $postal) {
                        $postal->write($to);
                    }
                    foreach (['voice' => $this->voice, 'email' => $this->mailbox] as $element => $text) {
                        if ($text !== null) {
                            $to->text("contact:{$element}", $text);
                        }
                    }
                    $this->disclose?->write($to);
                });
            }),
        );
    }
}
