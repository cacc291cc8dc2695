<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppWriter;
use SensitiveParameter;

/** RFC 5730 §2.9.1.1: who asks, and which objects and extensions the session will speak of. */
final readonly class Login implements EppCommand
{
    /** Who can log in: RFC 5730 §4, clIDType. */
    public const CLIENT = '/^(?=.{3,16}$)\S+(?: \S+)*$/Du';

    /** A password as every gate takes it: RFC 5730 §4, pwType. */
    public const PASSWORD = '/^(?=.{6,16}$)\S+(?: \S+)*$/Du';

    /**
     * @param  list<string>  $objects  namespaces, as the greeting named them
     * @param  list<string>  $extensions  namespaces
     * @param  string|null  $newPassword  replaces the password from then on
     */
    public function __construct(
        private string $client,
        #[SensitiveParameter] private string $password,
        private array $objects,
        private array $extensions = [],
        #[SensitiveParameter] private ?string $newPassword = null,
    ) {
    }

    public function write(EppWriter $to): void
    {
        $to->open('login', [], function (EppWriter $to): void {
            $to->text('clID', $this->client)->text('pw', $this->password);
            if ($this->newPassword !== null) {
                $to->text('newPW', $this->newPassword);
            }
            $to->open('options', [], fn (EppWriter $to) => $to->text('version', '1.0')->text('lang', 'en'));
            $to->open('svcs', [], function (EppWriter $to): void {
                $to->texts('objURI', $this->objects);
                if ($this->extensions !== []) {
                    $to->open('svcExtension', [], fn (EppWriter $to) => $to->texts('extURI', $this->extensions));
                }
            });
        });
    }
}
