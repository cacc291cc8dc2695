<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\RecordType;

/** Which types of records a name has, as one bit each (RFC 4034 §4.1.2). */
final readonly class Types
{
    /** @param  list<int>  $types  in rising order, each once */
    private function __construct(public array $types)
    {
    }

    /** @param  list<int>  $types */
    public static function of(array $types): self
    {
        $types = array_values(array_unique($types));
        sort($types);

        return new self($types);
    }

    /** @throws DnsError */
    public static function read(Octets $from, int $end): self
    {
        $types = [];
        while ($from->at < $end) {
            [$window, $length] = [$from->u8(), $from->u8()];
            if ($length < 1 || $length > 32) {
                throw DnsError::message($from->at - 1, 'a window of types has 1 to 32 bytes');
            }
            foreach (str_split($from->take($length)) as $byte => $bits) {
                for ($bit = 0; $bit < 8; $bit++) {
                    if ((ord($bits) & (0x80 >> $bit)) !== 0) {
                        $types[] = $window * 256 + $byte * 8 + $bit;
                    }
                }
            }
        }

        return self::of($types);
    }

    public function write(Packet $to): void
    {
        $windows = [];
        foreach ($this->types as $type) {
            $windows[$type >> 8][] = $type & 0xFF;
        }
        foreach ($windows as $window => $types) {
            $bits = array_fill(0, (max($types) >> 3) + 1, 0);
            foreach ($types as $type) {
                $bits[$type >> 3] |= 0x80 >> ($type & 7);
            }
            $to->u8($window)->string(pack('C*', ...$bits));
        }
    }

    public function __toString(): string
    {
        return implode(' ', array_map(RecordType::text(...), $this->types));
    }
}
