<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonError;
use Acre\Wire\Json\JsonNode;
use Acre\Wire\Text\PlainText;

/** The jCard of an entity (RFC 7095), as far as a directory of names uses it. Empty texts are as good as none. */
final readonly class RdapCard
{
    /** Characters of one text: a line of an address has 255 at most where registries take it (RFC 5733 §4). */
    private const LONGEST = 255;

    /** Of an address (RFC 6350 §6.3.1). */
    private const PARTS = 7;

    /**
     * @param  list<string>  $mailboxes
     * @param  list<string>  $phones  as URI or text, with `;ext=` where given
     * @param  list<string>  $address  post office box, extension, street, town, region, postcode, country (RFC 6350 §6.3.1), or one label
     * @param  string|null  $form  an address of a page that forwards a message (RFC 8605)
     */
    private function __construct(
        public ?string $name,
        public ?string $organisation,
        public array $mailboxes,
        public array $phones,
        public array $address,
        public ?string $country,
        public ?string $form,
    ) {
    }

    /** @throws JsonError where it is odd, and odd members are refused */
    public static function of(JsonNode $entity): ?self
    {
        if (! $entity->has('vcardArray')) {
            return null;
        }
        $path = $entity->path.'.vcardArray';
        $properties = $entity->values('vcardArray')[1] ?? null;
        if (! is_array($properties) || ! array_is_list($properties)) {
            return $entity->passOver(JsonError::wrong("{$path}[1]", 'a list of properties', $properties));
        }
        $name = $organisation = $country = $form = null;
        $mailboxes = $phones = $address = [];
        foreach ($properties as $place => $property) {
            if (
                ! is_array($property) ||
                ! array_is_list($property) ||
                count($property) < 4 ||
                ! is_string($property[0]) ||
                ! is_array($property[1])
            ) {
                $entity->passOver(JsonError::wrong("{$path}[1][{$place}]", 'name, parameters, type and value (RFC 7095 §3.3)', $property));

                continue;
            }
            [$key, $parameters, , $value] = $property;
            $text = self::text($value);
            match (strtolower($key)) {
                'fn' => ($name ??= $text),
                'org' => ($organisation ??= $text),
                'email' => array_push($mailboxes, ...$text === null ? [] : [$text]),
                'tel' => array_push($phones, ...$text === null ? [] : [(string) preg_replace('/^tel:/i', '', $text)]),
                'contact-uri' => ($form ??= $text),
                'adr' => ([$address, $country] = $address === [] ? self::address($value, $parameters) : [$address, $country]),
                default => null,
            };
        }

        return new self($name, $organisation, $mailboxes, $phones, $address, $country, $form);
    }

    private static function text(mixed $value): ?string
    {
        // A structured value is a list, the first of which says most (RFC 7095 §3.3.1.3).
        $value = is_array($value) ? $value[0] ?? null : $value;

        return is_string($value) && trim($value) !== '' ? PlainText::line(trim($value), self::LONGEST) : null;
    }

    /**
     * @param  array<array-key, mixed>  $parameters
     * @return array{list<string>, string|null}
     */
    private static function address(mixed $value, array $parameters): array
    {
        $country = self::text($parameters['cc'] ?? null);
        $label = self::text($parameters['label'] ?? null);
        $line = fn (mixed $part): string => is_array($part)
            ? implode(', ', array_filter($part, is_string(...)))
            : (is_string($part)
                ? trim($part)
                : '');
        $parts = is_array($value)
            ? array_map(
                fn (mixed $part): string => PlainText::line($line($part), self::LONGEST),
                array_slice(array_values($value), 0, self::PARTS),
            )
            : [];
        if (implode('', $parts) === '') {
            return [$label === null ? [] : [$label], $country];
        }

        return [$parts, $country ?? (($parts[6] ?? '') === '' ? null : $parts[6])];
    }
}
