<?php

declare(strict_types=1);

namespace Acre\Wire\Card;

use Generator;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\InvalidDataException;
use Sabre\VObject\Parameter;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;
use Sabre\VObject\Reader;
use TypeError;

/** vCards: version 4.0 written (RFC 6350), 3.0 and 2.1 read as well, each card by itself. */
final class Cards
{
    private const BYTES = 2_000_000;

    private const CARDS = 1_000;

    /**
     * @return Generator<int, ContactCard|CardError> by the card's number in the file: what can't be read is told, and the rest goes on
     *
     * @throws CardError when there is none, or too much
     */
    public static function read(string $text): Generator
    {
        if (strlen($text) > self::BYTES) {
            throw CardError::tooBig(self::BYTES);
        }
        $count = preg_match_all(
            '/^BEGIN:VCARD\s*?$.*?(^END:VCARD\s*?$|\z)/ims',
            str_replace("\r", '', str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text),
            $found,
        );
        if ($count === 0 || $count === false) {
            throw CardError::none();
        }
        if ($count > self::CARDS) {
            throw CardError::tooMany(self::CARDS);
        }
        foreach ($found[0] as $place => $one) {
            yield $place + 1 => self::one($place + 1, $one);
        }
    }

    /** A person of an organisation is a card of the person (RFC 6350 §6.1.4). */
    public static function write(ContactCard $card): string
    {
        $written = new VCard(
            ['VERSION' => '4.0', 'PRODID' => '-//Acre Roll//EN', 'FN' => $card->person ?? ($card->organisation ?? ($card->mailbox ?? ''))],
            false,
        );
        if ($card->kind !== null) {
            $written->add('KIND', $card->kind === 'org' && $card->person !== null ? 'individual' : $card->kind);
        }
        if ($card->person !== null) {
            // Which part of a name is which is not known, and guessing would be wrong: all of it stands first.
            $written->add('N', [$card->person, '', '', '', '']);
        }
        foreach (['ORG' => $card->organisation, 'EMAIL' => $card->mailbox] as $name => $value) {
            if ($value !== null) {
                $written->add($name, $name === 'ORG' ? [$value] : $value);
            }
        }
        if ($card->voice !== null) {
            $written->add('TEL', 'tel:'.str_replace('.', '', $card->voice), ['VALUE' => 'uri', 'TYPE' => 'voice']);
        }
        if ($card->street !== [] || $card->town !== null || $card->country !== null || $card->postcode !== null || $card->region !== null) {
            $written->add('ADR', [
                '',
                '',
                implode(', ', $card->street),
                $card->town ?? '',
                $card->region ?? '',
                $card->postcode ?? '',
                $card->country ?? '',
            ]);
        }

        return $written->serialize();
    }

    private static function one(int $number, string $text): ContactCard|CardError
    {
        try {
            $card = Reader::read(OldLines::inUtf8($text), Reader::OPTION_FORGIVING);
        } catch (ParseException|InvalidDataException $e) {
            return CardError::malformed($number, $e->getMessage());
        } catch (TypeError) {
            // The library stumbles over a parameter that is given twice.
            return CardError::malformed($number, 'one of its lines says the same twice');
        }
        if (! ($card instanceof VCard)) {
            return CardError::none();
        }
        $address = self::parts($card, 'ADR');
        $organisation = self::parts($card, 'ORG')[0] ?? null;
        $kind = self::text($card, 'KIND') ?? self::text($card, 'X-ADDRESSBOOKSERVER-KIND');
        $called =
            self::text($card, 'FN') ??
            trim(implode(' ', array_filter([self::parts($card, 'N')[1] ?? null, self::parts($card, 'N')[0] ?? null], is_string(...))));
        $isOrganisation = $kind === 'org' || ($called !== '' && $called === $organisation);
        $voice = self::text($card, 'TEL');

        return new ContactCard(
            $kind,
            $isOrganisation ? $organisation ?? $called : $organisation,
            $isOrganisation || $called === '' ? null : $called,
            // The box at the post office and the extended address have parts of their own.
            array_values(
                array_filter(
                    [
                        $address[0] ?? null,
                        $address[1] ?? null,
                        ...explode("\n", (string) preg_replace('/\s*[\n,]\s*/', "\n", $address[2] ?? '')),
                    ],
                    fn (?string $line): bool => $line !== null && $line !== '',
                ),
            ),
            $address[3] ?? null,
            $address[4] ?? null,
            $address[5] ?? null,
            $address[6] ?? null,
            $voice === null ? null : (string) preg_replace(['/^tel:/i', '/;ext=/i'], ['', ' ext. '], $voice),
            self::text($card, 'EMAIL'),
        );
    }

    private static function text(VCard $card, string $name): ?string
    {
        $value = trim((string) self::best($card, $name));

        return $value === '' ? null : $value;
    }

    /** Of several the preferred one, then that of work; a fax or pager is nobody's telephone (RFC 6350 §5.3, §5.6, §6.4.1). */
    private static function best(VCard $card, string $name): ?Property
    {
        $best = null;
        $least = PHP_INT_MAX;
        foreach ($card->select($name) as $property) {
            if (! ($property instanceof Property) || trim((string) $property) === '') {
                continue;
            }
            $types = self::types($property);
            $preference = $property['PREF'] instanceof Parameter ? (int) (string) $property['PREF'] : 0;
            $rank = match (true) {
                $name === 'TEL' &&
                    array_intersect($types, ['voice', 'cell']) === [] &&
                    array_intersect($types, ['fax', 'pager', 'modem', 'bbs']) !== [] => 10_000,
                $preference > 0 => $preference,
                in_array('pref', $types, true) => 1,
                in_array('work', $types, true) => 1_000,
                default => 2_000,
            };
            if ($rank < $least) {
                [$best, $least] = [$property, $rank];
            }
        }

        return $least === 10_000 ? null : $best;
    }

    /** @return list<string> in small letters; vCard 2.1 writes them without `TYPE=`, which the library reads as the same */
    private static function types(Property $property): array
    {
        $types = $property['TYPE'];

        return $types instanceof Parameter
            ? array_map(strtolower(...), array_values(array_filter($types->getParts(), is_string(...))))
            : [];
    }

    /** @return list<string|null> */
    private static function parts(VCard $card, string $name): array
    {
        $property = self::best($card, $name);

        return $property !== null
            ? array_map(
                fn (mixed $part): ?string => is_scalar($part) && trim((string) $part) !== '' ? trim((string) $part) : null,
                array_values($property->getParts()),
            )
            : [];
    }
}
