<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use InvalidArgumentException;

/** Why what was typed of a contact can't stand; the message is for the person who typed it. */
final class ContactError extends InvalidArgumentException
{
    /** @param  string  $field  the part it is about, as a form names it */
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function noAt(string $given): self
    {
        return new self('mailbox', "“{$given}” is no mailbox: something, an @, and a host.");
    }

    public static function localPart(string $given): self
    {
        return new self(
            'mailbox',
            'What stands before the @ in '
                ."“{$given}” is not what registries take: letters a to z, figures and . ! # $ % & ' * + / = ? ^ _ ` { | } ~ -, with no "
                .'dot first, last or doubled, 64 at most.',
        );
    }

    public static function host(string $given, string $why): self
    {
        return new self('mailbox', "What stands after the @ in “{$given}” can’t be a host. {$why}");
    }

    public static function country(string $given): self
    {
        return new self('country', "“{$given}” is no country’s code: two letters, as GB or DE (ISO 3166).");
    }

    public static function phone(string $given): self
    {
        return new self('voice', "“{$given}” can’t be telephoned: write it with its country, as +44 1632 960123.");
    }

    public static function streets(int $count): self
    {
        return new self('street', "{$count} street lines are more than the three that a registry takes.");
    }

    public static function tooLong(string $field, int $most): self
    {
        return new self($field, "More than {$most} characters are more than a registry takes.");
    }

    public static function nobody(): self
    {
        return new self('organisation', 'An organisation, a person or at least a mailbox must be given.');
    }
}
