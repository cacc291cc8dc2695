<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

/** Whether servers fall silent together. What counts as one network is the house's own choice: RFC 2182 §3.1 gives no figure. */
final class Networks
{
    /**
     * @param  list<string>  $addresses
     * @return string|null the network, a /24 of IPv4 or a /48 of IPv6, that has all of them; null: there are several
     */
    public static function shared(array $addresses): ?string
    {
        $networks = [];
        foreach ($addresses as $address) {
            $network = self::of($address);
            if ($network !== null) {
                $networks[str_contains($network, ':')][$network] = true;
            }
        }

        // What falls silent with one network is each family by itself: servers beside each other have an address of both.
        return $networks !== [] && array_filter($networks, fn (array $of): bool => count($of) > 1) === []
            ? implode(', ', array_map(strval(...), array_keys(array_merge(...array_values($networks)))))
            : null;
    }

    private static function of(string $address): ?string
    {
        $bytes = filter_var($address, FILTER_VALIDATE_IP) === false ? '' : (string) inet_pton($address);

        return match (strlen($bytes)) {
            4 => implode('.', array_slice(explode('.', $address), 0, 3)),
            16 => rtrim((string) inet_ntop(substr($bytes, 0, 6).str_repeat("\0", 10)), ':'),
            default => null,
        };
    }
}
