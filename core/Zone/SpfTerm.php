<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** One term of an SPF record (RFC 7208 §4.6.1). */
final readonly class SpfTerm
{
    /** Qualifier, name, value, and how much of an address counts. */
    private const MECHANISM = '/\A([+~?-])?([a-z0-9]+)(?::(.+?))?((?:\/\d{1,3})?(?:\/\/\d{1,3})?)\z/i';

    private const MECHANISMS = ['all', 'include', 'a', 'mx', 'ptr', 'ip4', 'ip6', 'exists'];

    /** Each costs the receiver a lookup (§4.6.4). */
    private const LOOKED_UP = ['include', 'a', 'mx', 'ptr', 'exists', 'redirect'];

    private const NEEDS_VALUE = ['include', 'ip4', 'ip6', 'exists', 'redirect'];

    private function __construct(public string $qualifier, public string $name, public string $value)
    {
    }

    /** @return self|null null: it is none */
    public static function of(string $text): ?self
    {
        $isModifier = preg_match('/\A([a-z][a-z0-9_.-]*)=(.*)\z/i', $text, $found) === 1;
        if ($isModifier) {
            $term = new self('', strtolower($found[1]), $found[2]);
        } elseif (preg_match(self::MECHANISM, $text, $found) === 1) {
            $term = new self($found[1] === '' ? '+' : $found[1], strtolower($found[2]), $found[3].$found[4]);
        } else {
            return null;
        }
        $isKnown = $isModifier || in_array($term->name, self::MECHANISMS, true);

        return $isKnown && $term->hasItsValue() ? $term : null;
    }

    public function isLookedUp(): bool
    {
        return in_array($this->name, self::LOOKED_UP, true);
    }

    /** The name whose own record counts too; null: none, or one that depends on the letter (§7). */
    public function leadsTo(): ?string
    {
        return ($this->name === 'include' || $this->name === 'redirect') && ! str_contains($this->value, '%')
            ? strtolower(rtrim($this->value, '.'))
            : null;
    }

    private function hasItsValue(): bool
    {
        [$address, $bits] = explode('/', $this->value) + ['', '0'];

        return match ($this->name) {
            'all' => $this->value === '',
            'ip4' => filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) !== false && (int) $bits <= 32,
            'ip6' => filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_IPV6) !== false && (int) $bits <= 128,
            default => $this->value !== '' || ! in_array($this->name, self::NEEDS_VALUE, true),
        };
    }
}
