<?php

declare(strict_types=1);

namespace Standin\Registry;

/**
 * What a registry shows of a holder under one suffix, whatever is asked: always, or never; the rest as the holder wishes. Written from
 * the registries' own terms, from memory: their texts can't be had here.
 */
final readonly class Policy
{
    private const ALL = ['name', 'organisation', 'street', 'town', 'region', 'postcode', 'country', 'voice', 'mailbox'];

    /**
     * @param  list<string>  $always
     * @param  list<string>  $never
     */
    private function __construct(private array $always, private array $never)
    {
    }

    /** @param  bool  $isPerson  a registry takes whoever names no organisation for a private person */
    public static function of(string $suffix, bool $isPerson): self
    {
        return match ($suffix) {
            // As the holder wishes, and hidden until they do.
            'uk', 'co.uk', 'org.uk' => new self([], []),
            // Its lookup says whether a name is registered and by whose servers it answers; who holds it is told to those with a reason.
            'de' => self::only(),
            'ch' => self::only(),
            // A register in which everybody can be looked up: privacy services are not allowed.
            'us' => self::only(...self::ALL),
            'eu' => $isPerson ? self::only('country', 'mailbox') : self::only('organisation', 'country', 'mailbox'),
            'nl' => $isPerson ? self::only() : self::only('organisation'),
            'fr' => $isPerson ? self::only() : self::only('organisation', 'street', 'town', 'postcode', 'country', 'voice', 'mailbox'),
            'at', 'it', 'es', 'se', 'be', 'pl' => $isPerson
                ? self::only()
                : self::only('organisation', 'street', 'town', 'postcode', 'country'),
            'ca' => $isPerson ? self::only() : self::only(...self::ALL),
            'au', 'com.au' => self::only('name', 'organisation', 'mailbox'),
            // ICANN Registration Data Policy: country and region always, the rest where the holder agrees.
            default => new self(['region', 'country'], []),
        };
    }

    /** @param  list<string>  $wished */
    public function shows(string $field, array $wished): bool
    {
        return in_array($field, $this->always, true) || (in_array($field, $wished, true) && ! in_array($field, $this->never, true));
    }

    private static function only(string ...$always): self
    {
        return new self(array_values($always), array_values(array_diff(self::ALL, $always)));
    }
}
