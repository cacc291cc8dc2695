<?php

declare(strict_types=1);

namespace App\Http\Outside;

use Acre\Core\Name\DomainName;
use Acre\Core\Record\Source;
use App\Queries\Outside\Observed;

/** One name of a list that was asked about. */
final readonly class RecordRow
{
    /**
     * @param  array<string, list<Observed>>  $seen  by source
     * @param  array<string, string>  $troubles  by source
     */
    public function __construct(public DomainName $name, private array $seen, private array $troubles)
    {
    }

    /** The registry's last word. */
    public function registrys(): ?Observed
    {
        return $this->seen[Source::Registry->value][0] ?? $this->seen[Source::Text->value][0] ?? null;
    }

    public function dns(): ?Observed
    {
        return $this->seen[Source::Dns->value][0] ?? null;
    }

    public function trouble(): ?string
    {
        return $this->troubles[Source::Registry->value] ?? $this->troubles[Source::Text->value] ?? null;
    }
}
