<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppExtended;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/**
 * What a registrar does with a name that no registry knows of: docs/account-extension.md. An update of the name that changes nothing else.
 */
final readonly class AccountUpdate implements EppExtended
{
    /**
     * @param  array{string, string}|null  $receiver  number and login; without it and without a word on the rest a handover is taken back
     * @param  list<string>|null  $shown
     */
    private function __construct(private string $name, private ?bool $autoRenew, private ?array $receiver, private ?array $shown = null)
    {
    }

    public static function autoRenew(string $name, bool $on): self
    {
        return new self($name, $on, null);
    }

    /** Offers the name to another account there, which must accept it. */
    public static function handOver(string $name, string $number, string $login): self
    {
        return new self($name, null, [$number, $login]);
    }

    /** @param  list<string>  $fields  of the holder that may be shown; all others are withheld */
    public static function disclose(string $name, array $fields): self
    {
        return new self($name, null, null, $fields);
    }

    public static function cancelHandover(string $name): self
    {
        return new self($name, null, null);
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'update',
            [],
            fn (EppWriter $to) => $to->object(EppNamespace::Domain, 'update', fn (EppWriter $to) => $to->text('domain:name', $this->name)),
        );
    }

    public function isExtended(): bool
    {
        return true;
    }

    public function writeExtension(EppWriter $to): void
    {
        $to->object(EppNamespace::Account, 'update', function (EppWriter $to): void {
            if ($this->shown !== null) {
                $to->open(
                    'account:disclose',
                    [],
                    fn (EppWriter $to) => array_map(fn (string $field): EppWriter => $to->text('account:field', $field), $this->shown),
                );
            } elseif ($this->autoRenew !== null) {
                $to->text('account:autoRenew', $this->autoRenew ? '1' : '0');
            } elseif ($this->receiver !== null) {
                [$number, $login] = $this->receiver;
                $to->open(
                    'account:handover',
                    ['op' => 'request'],
                    fn (EppWriter $to) => $to->text('account:number', $number)->text('account:login', $login),
                );
            } else {
                $to->sign('account:handover', ['op' => 'cancel']);
            }
        });
    }
}
