<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonError;
use Acre\Wire\Json\JsonNode;

/** Which directory answers for which names (RFC 9224 §4): the entry that matches most labels is the one. */
final readonly class RdapBootstrap
{
    /** @param  array<string, list<string>>  $services  base addresses by the labels they answer for */
    private function __construct(private array $services)
    {
    }

    /**
     * @param  int  $limit  bytes
     *
     * @throws JsonError
     * @throws RdapError
     */
    public static function read(string $text, int $limit = 4_000_000): self
    {
        $services = [];
        foreach (JsonNode::read($text, $limit)->values('services') as $place => $service) {
            [$labels, $addresses] = is_array($service) && count($service) === 2 ? array_values($service) : [null, null];
            $addresses = self::texts($addresses);
            if (self::texts($labels) === [] || $addresses === []) {
                throw RdapError::noService("$.services[{$place}]");
            }
            foreach (self::texts($labels) as $label) {
                $services[strtolower($label)] = $addresses;
            }
        }

        return new self($services);
    }

    /**
     * @param  string  $name  A-labels
     * @return list<string> base addresses, those over TLS first; empty: nobody is known to answer
     */
    public function for(string $name): array
    {
        $labels = explode('.', strtolower($name));
        // The empty label, should a file have one, answers for everything else.
        while ($labels !== [] && ! isset($this->services[implode('.', $labels)])) {
            array_shift($labels);
        }
        $addresses = $this->services[implode('.', $labels)] ?? [];
        usort($addresses, fn (string $a, string $b): int => str_starts_with($b, 'https:') <=> str_starts_with($a, 'https:'));

        return $addresses;
    }

    /** @return list<string> */
    private static function texts(mixed $list): array
    {
        return is_array($list) ? array_values(array_filter($list, is_string(...))) : [];
    }
}
