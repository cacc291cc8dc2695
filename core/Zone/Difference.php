<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** One set of records that two copies don't have alike. */
final readonly class Difference
{
    /** @param  string  $zone  that both are of */
    public function __construct(
        private string $zone,
        public string $host,
        public string $type,
        public ?EntrySet $before,
        public ?EntrySet $after,
    ) {
    }

    public function kind(): DifferenceKind
    {
        return match (true) {
            $this->after === null => DifferenceKind::Gone,
            $this->before === null => DifferenceKind::New,
            $this->before->saysTheSameAs($this->after) => DifferenceKind::OtherTime,
            default => DifferenceKind::Other,
        };
    }

    public function isLoss(): bool
    {
        return $this->kind() === DifferenceKind::Gone || $this->kind() === DifferenceKind::Other;
    }

    /** `MX`, `www A`: the host as the zone's own file says it. */
    public function label(): string
    {
        $host = $this->host === $this->zone ? '' : substr($this->host, 0, -strlen($this->zone) - 1).' ';

        return $host.$this->type;
    }

    /** What hangs on it. */
    public function service(): Service
    {
        return Service::of($this->zone, $this->host, $this->type, implode(' ', ($this->before ?? $this->after)->data ?? []));
    }

    /** @return list<string|int> the zone first, then its hosts, each beside what lies below it */
    public function order(): array
    {
        return [$this->host === $this->zone ? 0 : 1, implode('.', array_reverse(explode('.', $this->host))), $this->type];
    }
}
