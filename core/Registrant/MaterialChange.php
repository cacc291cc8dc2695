<?php

declare(strict_types=1);

namespace Acre\Core\Registrant;

use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Rulebook\RegistrantConfirms;
use Acre\Core\Rulebook\RuleSet;
use Acre\Core\Time\Instant;

/**
 * What another registrant, or another name, organisation or mailbox of the same, starts for a name (ICANN Transfer Policy II; RAA 2013,
 * accuracy specification).
 */
final readonly class MaterialChange
{
    /**
     * @param  Instant|null  $verifyBy  when the mailbox must have been verified, or the name goes dark; null: no such rule
     * @param  Instant|null  $holdUntil  until when it may not go to another registrar; null: no such hold
     */
    private function __construct(public RegistrantConfirms $confirms, public ?Instant $verifyBy, public ?Instant $holdUntil)
    {
    }

    /**
     * Whether name, organisation or mailbox become others. What was not known and is recorded is no change, nor is a name that is found
     * to be an organisation's; an organisation that is entered for a person is one.
     */
    public static function is(Contact $before, Contact $after): bool
    {
        foreach ([Field::Name, Field::Organisation] as $field) {
            $was = $before->field($field);
            // Whoever stands there as a person and has an organisation entered hands the name to that: it is the legal holder then
            // (Transfer Policy II.A.1.1, from memory).
            if (
                $field === Field::Organisation &&
                $was === null &&
                $after->organisation !== null &&
                $before->kind === HolderKind::Person &&
                $before->person !== null
            ) {
                return true;
            }
            $found = $before->kind === HolderKind::Unknown && $was === $after->organisation;
            if ($was !== null && $was !== $after->field($field) && ! $found) {
                return true;
            }
        }

        return $before->mailbox !== null && ($after->mailbox === null || ! $before->mailbox->equals($after->mailbox));
    }

    /** Whether anything that was known becomes something else, or is taken away: whoever was told it has something wrong. */
    public static function contradicts(Contact $before, Contact $after): bool
    {
        $other = array_filter(
            $before->differs($after),
            fn (Field $field): bool => $before->field($field) !== null &&
                ! in_array($field, [Field::Name, Field::Organisation, Field::Mailbox], true),
        );

        return $other !== [] || $before->local?->equals($after->local) === false || self::is($before, $after);
    }

    public static function of(RuleSet $rules, Instant $now): self
    {
        [$verify, $hold] = [$rules->verifyDays->value, $rules->registrantHold->value];

        return new self(
            $rules->registrantConfirms->value,
            $verify === 0 ? null : $now->toDay()->plusDays($verify),
            $hold === 0 ? null : $now->toDay()->plusDays($hold),
        );
    }
}
