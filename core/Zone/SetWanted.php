<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** What one host and type of a zone is to say from now on, of whichever zone it is. */
final readonly class SetWanted
{
    /**
     * @param  string  $host  relative to the zone, small letters; empty: the zone itself
     * @param  int|null  $ttl  seconds; null: as it was
     * @param  list<string>  $data  as zone files write it; none: it goes
     */
    public function __construct(public string $host, public string $type, public ?int $ttl, public array $data)
    {
    }

    public function key(string $zone): string
    {
        return $this->at($zone).' '.$this->type;
    }

    public function at(string $zone): string
    {
        return $this->host === '' ? $zone : "{$this->host}.{$zone}";
    }

    /** `www A 192.0.2.1`; of what goes, `- www A`. */
    public function text(): string
    {
        $host = $this->host === '' ? '@' : $this->host;

        return $this->data === []
            ? "- {$host} {$this->type}"
            : implode("\n", array_map(
                fn (string $data): string => implode(' ', [$host, ...$this->ttl === null ? [] : [$this->ttl], $this->type, $data]),
                $this->data,
            ));
    }
}
