<?php

declare(strict_types=1);

namespace Acre\Core\Custody;

use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;

/** Who has what of an account: without them nobody gets at the names in it. */
final readonly class Custody
{
    /**
     * @param  list<Custodian>  $custodians
     * @param  string|null  $login  the login mailbox
     * @param  string|null  $site  the name that it lies in, where that is on the Roll
     * @param  bool  $siteIsInside  whether that name is kept in this very account
     * @param  Intent|null  $siteIntent  what is meant with it
     * @param  Instant|null  $nextCharge  when something is charged next
     */
    public function __construct(
        public array $custodians,
        public ?string $login = null,
        public ?string $site = null,
        public bool $siteIsInside = false,
        public ?Intent $siteIntent = null,
        public ?Instant $nextCharge = null,
        public bool $hasWayBack = true,
        public bool $hostsToo = false,
    ) {
    }

    /** @return list<Finding> dearest first */
    public function findings(): array
    {
        $found = [];
        $in = $this->there(CustodyPart::SignsIn);
        if ($in === []) {
            $found[] = Finding::of(CustodyFinding::Nobody);
        } elseif (count($in) === 1) {
            $found[] = Finding::of(CustodyFinding::OnePerson, who: $in[0]->name);
        }
        $factor = $this->there(CustodyPart::SecondFactor);
        if (count($factor) === 1 && count($in) > 1) {
            $found[] = Finding::of(CustodyFinding::OneFactor, who: $factor[0]->name);
        }
        foreach (
            array_unique(
                array_map(
                    fn (Custodian $one): string => $one->name,
                    array_filter($this->custodians, fn (Custodian $one): bool => $one->hasLeft),
                ),
            ) as $who
        ) {
            $found[] = Finding::of(CustodyFinding::HeldByOneWhoLeft, who: $who);
        }
        if ($this->login !== null && $this->site !== null && $this->siteIntent === Intent::Lapse) {
            $found[] = Finding::of(CustodyFinding::LoginLapses, mailbox: $this->login, site: $this->site);
        } elseif ($this->login !== null && $this->site !== null && $this->siteIsInside) {
            $found[] = Finding::of(CustodyFinding::LoginInside, mailbox: $this->login, site: $this->site);
        }
        foreach ($this->custodians as $card) {
            if (
                $card->part === CustodyPart::Card &&
                $card->goodUntil !== null &&
                $this->nextCharge !== null &&
                $card->goodUntil->isBefore($this->nextCharge)
            ) {
                $found[] = Finding::of(CustodyFinding::CardEnds, who: $card->name, until: $card->goodUntil, charge: $this->nextCharge);
            }
        }
        if (! $this->hasWayBack && $this->there(CustodyPart::WayBack) === []) {
            $found[] = Finding::of(CustodyFinding::NoWayBack);
        }
        if ($this->hostsToo) {
            $found[] = Finding::of(CustodyFinding::HostBehindIt);
        }

        return Finding::dearestFirst($found);
    }

    /**
     * @return list<CustodyPart> what they have of it and nobody else who is still there, so that it stops once they leave, or has stopped
     *     since
     */
    public function onlyWith(int $custodian): array
    {
        return array_values(
            array_filter(
                CustodyPart::cases(),
                fn (CustodyPart $part): bool => $this->has($custodian, $part) &&
                    array_filter($this->there($part), fn (Custodian $one): bool => $one->id !== $custodian) === [],
            ),
        );
    }

    /** @return list<string> who can sign in today */
    public function canSignIn(): array
    {
        return array_map(fn (Custodian $one): string => $one->name, $this->there(CustodyPart::SignsIn));
    }

    public function has(int $custodian, CustodyPart $part): bool
    {
        return array_filter($this->custodians, fn (Custodian $one): bool => $one->id === $custodian && $one->part === $part) !== [];
    }

    /** @return list<Custodian> who have a part and have not left */
    private function there(CustodyPart $part): array
    {
        return array_values(array_filter($this->custodians, fn (Custodian $one): bool => $one->part === $part && ! $one->hasLeft));
    }
}
