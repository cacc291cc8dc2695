<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;

/** An address of electronic mail, as registries take it: RFC 5321 §4.1.2 without quoted strings and address literals. */
final readonly class Mailbox
{
    /** RFC 5321 §4.5.3.1.1 */
    private const LOCAL = 64;

    private const ATOMS = '/^[a-z0-9!#$%&\'*+\/=?^_`{|}~-]+(\.[a-z0-9!#$%&\'*+\/=?^_`{|}~-]+)*$/iD';

    /** @param  DomainName  $host  A-labels inside */
    private function __construct(public string $local, public DomainName $host)
    {
    }

    /** @throws ContactError which part is wrong */
    public static function of(string $given): self
    {
        $given = trim($given);
        $at = strrpos($given, '@');
        if ($at === false || $at === 0 || $at === strlen($given) - 1) {
            throw ContactError::noAt($given);
        }
        $local = substr($given, 0, $at);
        if (strlen($local) > self::LOCAL || preg_match(self::ATOMS, $local) !== 1) {
            throw ContactError::localPart($given);
        }
        try {
            return new self($local, DomainName::of(substr($given, $at + 1)));
        } catch (NameError $e) {
            throw ContactError::host($given, $e->getMessage());
        }
    }

    /** Null where it can't be one. */
    public static function tryOf(?string $given): ?self
    {
        try {
            return $given === null ? null : self::of($given);
        } catch (ContactError) {
            return null;
        }
    }

    /** As it is written; the host in A-labels. */
    public function address(): string
    {
        return "{$this->local}@{$this->host->ascii}";
    }

    /** The name that its host lies in, as it would stand on the Roll: whoever holds it reads this mailbox. */
    public function site(): DomainName
    {
        return $this->host->registrable();
    }

    /** Hosts take local parts as they like, but none is known that tells capitals apart: the same to us. */
    public function equals(self $other): bool
    {
        return strtolower($this->address()) === strtolower($other->address());
    }
}
