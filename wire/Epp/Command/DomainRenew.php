<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppExtended;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use DateTimeImmutable;

/**
 * RFC 5731 §3.2.3, with what it may cost (RFC 8748 §5.2.3). It names the end that it renews from, so that the same command twice does not
 * renew twice.
 */
final readonly class DomainRenew implements EppExtended
{
    /** @param  DateTimeImmutable  $ends  the end as the server has it, before the renewal */
    public function __construct(
        private string $name,
        private DateTimeImmutable $ends,
        private int $years,
        private ?AgreedFee $fee = null,
    ) {
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'renew',
            [],
            fn (EppWriter $to) => $to->object(
                EppNamespace::Domain,
                'renew',
                fn (EppWriter $to) => $to
                    ->text('domain:name', $this->name)
                    ->text('domain:curExpDate', gmdate('Y-m-d', $this->ends->getTimestamp()))
                    ->text('domain:period', (string) $this->years, ['unit' => 'y']),
            ),
        );
    }

    public function isExtended(): bool
    {
        return $this->fee !== null;
    }

    public function writeExtension(EppWriter $to): void
    {
        $this->fee?->write($to, 'renew');
    }
}
