<?php

declare(strict_types=1);

namespace Tests\Core;

use Acre\Core\Zone\Spf;
use Acre\Core\Zone\SpfFault;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SpfTest extends TestCase
{
    #[TestWith(['v=spf1 -all', '-', 0])]
    #[TestWith(['V=SPF1', null, 0])]
    #[TestWith(['v=spf1  a mx/24 a:x.example//64 ip4:192.0.2.0/24 ip6:2001:db8::/32 exists:%{i}.x ptr ?ALL', '?', 5])]
    #[TestWith(['v=spf1 mx ~all include:never.example +oddity', '~', 1], 'what follows all is not read')]
    #[TestWith(['v=spf1 exp=why.example unknown=thing -all', '-', 0], 'modifiers cost nothing')]
    #[TestWith(['v=spf1 include:%{d}.x.example all', '+', 1], 'a name that depends on the letter')]
    public function test_what_it_says_and_costs(string $text, ?string $others, int $lookups): void
    {
        $spf = Spf::of('a.example', ['a.example' => ['other text', $text]]);
        self::assertNotNull($spf);
        self::assertSame([$others, $lookups, null, []], [$spf->others, $spf->lookups, $spf->fault, $spf->missing]);
        self::assertSame($text === 'v=spf1 -all', $spf->allowsNobody());
    }

    /** @param  list<string>  $texts */
    #[TestWith([['v=spf1 -all', 'v=spf1 mx -all'], SpfFault::Several, 'a.example'])]
    #[TestWith([['v=spf1 ip4:192.0.2 -all'], SpfFault::Malformed, 'ip4:192.0.2'])]
    #[TestWith([['v=spf1 ip6:192.0.2.1 -all'], SpfFault::Malformed, 'ip6:192.0.2.1'])]
    #[TestWith([['v=spf1 ip4:192.0.2.0/33 -all'], SpfFault::Malformed, 'ip4:192.0.2.0/33'])]
    #[TestWith([['v=spf1 ip6:2001:db8::/129 -all'], SpfFault::Malformed, 'ip6:2001:db8::/129'])]
    #[TestWith([['v=spf1 includes:x.example'], SpfFault::Malformed, 'includes:x.example'])]
    #[TestWith([['v=spf1 include -all'], SpfFault::Malformed, 'include'])]
    #[TestWith([['v=spf1 all:x'], SpfFault::Malformed, 'all:x'])]
    #[TestWith([['v=spf1 -- -all'], SpfFault::Malformed, '--'])]
    #[TestWith([['v=spf1 include:none.example -all'], SpfFault::LeadsNowhere, 'none.example'])]
    #[TestWith([['v=spf1 redirect=none.example'], SpfFault::LeadsNowhere, 'none.example'])]
    #[TestWith([['v=spf1 include:ring.example -all'], SpfFault::TooManyLookups, 'a.example'])]
    #[TestWith([['v=spf1 redirect=a.example'], SpfFault::TooManyLookups, 'a.example'])]
    #[TestWith([['v=spf1 a a a a a a a a a a a -all'], SpfFault::TooManyLookups, 'a.example'])]
    #[TestWith([['v=spf1 include:six.example include:six.example -all'], SpfFault::TooManyLookups, 'a.example'])]
    public function test_what_receivers_can_not_use(array $texts, SpfFault $fault, string $at): void
    {
        $spf = Spf::of('a.example', [
            'a.example' => $texts,
            'none.example' => ['nothing'],
            'ring.example' => ['v=spf1 include:a.example include:ring.example -all'],
            'six.example' => ['v=spf1 a a a a a a -all'],
        ]);
        self::assertSame([$fault, $at], [$spf?->fault, $spf?->at]);
        self::assertFalse($spf?->allowsNobody());
    }

    public function test_ten_lookups_are_allowed_wherever_they_are_made(): void
    {
        $spf = Spf::of('a.example', [
            'a.example' => ['v=spf1 mx include:b.example redirect=c.example'],
            'b.example' => ['v=spf1 a a a ip4:192.0.2.1 -all'],
            'c.example' => ['v=spf1 a a a a ~all'],
        ]);
        self::assertSame([10, null, '~'], [$spf?->lookups, $spf?->fault, $spf?->others]);
    }

    public function test_what_was_not_asked_is_told(): void
    {
        $spf = Spf::of('a.example', ['a.example' => ['v=spf1 include:B.example. mx include:c.example -all']]);
        self::assertSame([['b.example', 'c.example'], 3, null], [$spf?->missing, $spf?->lookups, $spf?->fault]);
        $twice = Spf::of('a.example', ['a.example' => ['v=spf1 include:b.example include:b.example -all'], 'b.example' => ['v=spf1 -all']]);
        self::assertSame(['b.example'], $twice?->leadsTo);
        self::assertSame(['z.example'], Spf::of('z.example', [])?->missing);
        self::assertNull(Spf::of('z.example', ['z.example' => ['v=spf10 -all', 'v=DMARC1']]));
    }
}
