<?php

declare(strict_types=1);

namespace App\Outside\Directory;

use Acre\Core\Contact\Field;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Record\FieldSeen;
use Acre\Core\Record\Record;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use Acre\Wire\Rdap\RdapDomain;
use Acre\Wire\Rdap\RdapEntity;

/** What an RDAP answer says, in the core's words. */
final class RecordOfRdap
{
    public static function read(RdapDomain $domain, Source $source): Record
    {
        $statuses = $words = [];
        foreach ($domain->statuses as $word) {
            $status = Status::ofDirectory($word);
            $status === null ? ($words[] = $word) : ($statuses[] = $status);
        }
        $registrar = $domain->entity('registrar');
        $registrant = $domain->entity('registrant');
        $isOwn = $source === Source::Registrar;
        $at = fn (string $event): ?Instant => ($found = $domain->event($event)) === null ? null : Instant::from($found->at);
        // A registry that knows registrars by tags has no number beside the handle.
        $number = $registrar?->ids['IANA Registrar ID'] ?? null;

        return new Record(
            $domain->name,
            $source,
            self::name($registrar),
            $number,
            $number === null ? $registrar?->handle : null,
            self::name($domain->entity('reseller')),
            $statuses,
            $words,
            $at('registration'),
            ($isOwn ? $at('registrar expiration') : null) ?? $at('expiration'),
            $at('transfer'),
            $at('last changed'),
            $domain->servers,
            $domain->signed,
            self::holder($domain, $registrant),
            self::validated($registrant),
            $registrant?->card?->mailboxes[0] ?? $registrant?->card?->form,
            self::abuse($registrar),
            $domain->notices,
            $isOwn ? $at('registrar expiration') : null,
            $domain->signed === null ? null : array_map(strval(...), $domain->ds),
        );
    }

    private static function name(?RdapEntity $entity): ?string
    {
        return $entity->card->name ?? ($entity->card->organisation ?? null);
    }

    /**
     * RFC 9083 §10.2.2: `validated` says that the data was found to be accurate. It has no word for the opposite, which
     * registries write as a remark (common practice).
     */
    private static function validated(?RdapEntity $registrant): ?bool
    {
        if ($registrant === null || in_array('validated', $registrant->statuses, true)) {
            return $registrant === null ? null : true;
        }

        return preg_match('/\b(?:could not|cannot|has not|not been|un)\s*(?:be\s+)?validate/i', implode("\n", $registrant->remarks)) === 1
            ? false
            : null;
    }

    private static function abuse(?RdapEntity $registrar): ?string
    {
        foreach ($registrar->entities ?? [] as $entity) {
            if ($entity->is('abuse')) {
                return $entity->card?->mailboxes[0] ?? null;
            }
        }

        return null;
    }

    /** @return array<string, FieldSeen> */
    private static function holder(RdapDomain $domain, ?RdapEntity $registrant): array
    {
        $holder = [];
        foreach ($domain->redactions as $redaction) {
            $field = Field::ofRedaction($redaction->name);
            if ($field !== null) {
                $holder[$field->value] = FieldSeen::redacted($redaction->reason);
            }
        }
        $card = $registrant?->card;
        if ($card === null) {
            return $holder;
        }
        $address = $card->address + array_fill(0, 7, '');
        $values = [
            Field::Name->value => $card->name,
            Field::Organisation->value => $card->organisation,
            Field::Street->value => trim(implode(' ', [$address[0], $address[1], $address[2]])),
            Field::Town->value => $address[3],
            Field::Region->value => $address[4],
            Field::Postcode->value => $address[5],
            Field::Country->value => $card->country,
            Field::Voice->value => $card->phones[0] ?? null,
            Field::Mailbox->value => $card->mailboxes[0] ?? null,
        ];
        foreach ($values as $field => $value) {
            // Of what is said to be redacted a part or a replacement may stand there (RFC 9537 §3): neither is the holder's.
            if ($value !== null && $value !== '' && ! isset($holder[$field])) {
                $holder[$field] = FieldSeen::read($value);
            }
        }

        return $holder;
    }
}
