<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppExtended;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use SensitiveParameter;

/**
 * RFC 5731 §3.2.5; with `$restore` the request of RFC 3915 §4.2.5 to take a deleted name back, and what that may cost (RFC 8748 §5.2.5);
 * with `$keys` the change of RFC 5910 §5.2.5.
 */
final readonly class DomainUpdate implements EppExtended
{
    public function __construct(
        private string $name,
        private DomainChange $add = new DomainChange(),
        private DomainChange $remove = new DomainChange(),
        private ?string $registrant = null,
        #[SensitiveParameter] private ?string $code = null,
        private bool $restore = false,
        private ?KeyChange $keys = null,
        private ?AgreedFee $fee = null,
    ) {
    }

    public function write(EppWriter $to): void
    {
        $to->begin('update')->beginObject(EppNamespace::Domain, 'update')->text('domain:name', $this->name);
        $this->add->write($to, 'add');
        $this->remove->write($to, 'rem');
        if ($this->registrant !== null || $this->code !== null || $this->restore) {
            // A restore changes nothing else, and says so with an empty change (RFC 3915 §4.2.5).
            $to->begin('domain:chg');
            if ($this->registrant !== null) {
                $to->text('domain:registrant', $this->registrant);
            }
            if ($this->code !== null) {
                $to->begin('domain:authInfo')->text('domain:pw', $this->code)->end();
            }
            $to->end();
        }
        $to->end()->end();
    }

    public function isExtended(): bool
    {
        return $this->restore || $this->keys !== null || $this->fee !== null;
    }

    public function writeExtension(EppWriter $to): void
    {
        if ($this->restore) {
            $to->object(EppNamespace::Grace, 'update', fn (EppWriter $to) => $to->sign('rgp:restore', ['op' => 'request']));
        }
        $this->keys?->write($to);
        $this->fee?->write($to, 'update');
    }
}
