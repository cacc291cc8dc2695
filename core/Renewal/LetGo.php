<?php

declare(strict_types=1);

namespace Acre\Core\Renewal;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\Service;
use Acre\Core\Zone\ZoneCopy;

/** What speaks for letting one of a client's names go, as far as it was seen. */
final readonly class LetGo
{
    /** So many times what their other names cost is dear: our own choice. */
    private const DEAR = 3;

    /**
     * @param  ZoneCopy|null  $zone  as it was last seen; null: it was not
     * @param  bool  $isSilent  whether no server was seen to answer for it
     * @param  string|null  $target  where its visitors are only sent on to; null: they are not
     * @param  Money|null  $yearly  what a year of it costs
     * @param  Money|null  $usual  what a year of the client's names usually costs
     */
    public function __construct(
        public Intent $intent,
        public ?Instant $ends,
        public ?ZoneCopy $zone = null,
        public bool $isSilent = false,
        public ?string $target = null,
        public ?Money $yearly = null,
        public ?Money $usual = null,
    ) {
    }

    /** @return list<Finding> */
    public function reasons(): array
    {
        if ($this->intent === Intent::Lapse && $this->ends !== null) {
            return [Finding::of(KeepingFinding::MeantToLapse, Effect::Worth, null, ends: $this->ends)];
        }
        $reasons = [];
        if ($this->isSilent) {
            $reasons[] = Finding::of(KeepingFinding::NothingAnswers, Effect::Worth);
        } elseif ($this->isEmpty()) {
            $reasons[] = Finding::of(KeepingFinding::NothingThere, Effect::Worth);
        } elseif ($this->target !== null) {
            $reasons[] = Finding::of(KeepingFinding::LeadsOn, Effect::Worth, null, target: $this->target);
        }
        if ($this->yearly !== null && $this->usual !== null && $this->isDear($this->yearly, $this->usual)) {
            $reasons[] = Finding::of(KeepingFinding::Dear, Effect::Worth, null, sum: $this->yearly, usual: $this->usual);
        }

        return $reasons;
    }

    /** What nobody has seen whole may hold anything. */
    private function isEmpty(): bool
    {
        if ($this->zone === null || $this->zone->sets === [] || $this->zone->unread !== []) {
            return false;
        }
        foreach ($this->zone->entries() as $entry) {
            $service = Service::of($this->zone->zone, $entry->host, $entry->type, $entry->data);
            // RFC 7505: it takes no mail, and says so.
            $isNullMail = $entry->type === 'MX' && $entry->data === '0 .';
            if (! $isNullMail && ! in_array($service, [Service::Delegation, Service::MailTrust, Service::Certificates], true)) {
                return false;
            }
        }

        return true;
    }

    private function isDear(Money $yearly, Money $usual): bool
    {
        return $yearly->currency === $usual->currency && $usual->isPositive() && $yearly->compare($usual->times(self::DEAR)) >= 0;
    }
}
