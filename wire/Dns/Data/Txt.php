<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** Texts of at most 255 bytes each (RFC 1035 §3.3.14); a machine's kind too (HINFO, §3.3.2). */
final readonly class Txt implements Data
{
    private const LONGEST = 255;

    /** @param  list<string>  $texts  bytes */
    private function __construct(public array $texts)
    {
    }

    /** However long, in as many texts as it takes. */
    public static function of(string $text): self
    {
        return new self(str_split($text, self::LONGEST));
    }

    public static function read(Octets $from, int $length): static
    {
        $end = $from->at + $length;
        $texts = [];
        do {
            $texts[] = $from->string();
        } while ($from->at < $end);

        return new self($texts);
    }

    public static function parse(Values $values): static
    {
        $texts = [];
        while (! $values->isEnd()) {
            $texts[] = $values->string();
        }

        return $texts === [] ? throw DnsError::missing('A text') : new self($texts);
    }

    /** Its texts as one, as programs read them (RFC 7208 §3.3). */
    public function joined(): string
    {
        return implode('', $this->texts);
    }

    public function write(Packet $to): void
    {
        foreach ($this->texts as $text) {
            $to->string($text);
        }
    }

    public function __toString(): string
    {
        return implode(' ', array_map(Values::quoted(...), $this->texts));
    }
}
