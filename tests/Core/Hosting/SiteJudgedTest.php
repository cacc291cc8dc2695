<?php

declare(strict_types=1);

namespace Tests\Core\Hosting;

use Acre\Core\Delegation\ServerSet;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\Finding;
use Acre\Core\Hosting\Certificate;
use Acre\Core\Hosting\CertificateFault;
use Acre\Core\Hosting\NotVisited;
use Acre\Core\Hosting\Place;
use Acre\Core\Hosting\PlaceKind;
use Acre\Core\Hosting\Redirect;
use Acre\Core\Hosting\Site;
use Acre\Core\Hosting\SiteJudged;
use Acre\Core\Hosting\SiteSeen;
use Acre\Core\Hosting\Trail;
use Acre\Core\Hosting\Visit;
use Acre\Core\Hosting\Way;
use Acre\Core\Hosting\WebAddress;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\ZoneCopy;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SiteJudgedTest extends TestCase
{
    private const NOW = '2026-10-06T09:00:00Z';

    private const THERE = '203.0.113.80';

    /** @param  list<string>  $servers */
    private static function place(array $servers = [], string ...$addresses): Place
    {
        $set = $servers === [] ? null : ServerSet::ofHosts($servers);

        $addresses = $addresses === [] ? [self::THERE] : array_values($addresses);

        return Place::of('Sandpiper, shared 4', 'Sandpiper', PlaceKind::Pages, $addresses, $set);
    }

    private static function redirect(string $target, bool $isPermanent = true, bool $keepsPath = false): Redirect
    {
        return new Redirect(WebAddress::of($target), $isPermanent, $keepsPath);
    }

    /**
     * A trail by its answers: a status, with a place to go to where it has one; a fault where nothing came.
     *
     * @param  list<array{int, 1?: string}|NotVisited>  $answers
     */
    private static function trail(string $from, array $answers): Trail
    {
        $trail = Trail::from(WebAddress::of($from));
        foreach ($answers as $answer) {
            $page = $trail->next;
            self::assertNotNull($page, 'the trail has ended already');
            $trail = $trail->then(
                $answer instanceof NotVisited ? Visit::failed($page, $answer) : Visit::answered($page, $answer[0], $answer[1] ?? null),
            );
        }

        return $trail;
    }

    /** @param  list<string>  $names */
    private static function certificate(
        array $names = ['a.example', 'www.a.example'],
        string $until = '2026-12-01',
        ?CertificateFault $fault = null,
        string $from = '2026-09-01',
    ): Certificate {
        return new Certificate($names, Instant::of($from), Instant::of($until), 'Wharf Signers', $fault);
    }

    /** @param  list<string>  $addresses */
    private static function seen(
        array $addresses = [self::THERE],
        ?Trail $plain = null,
        ?Trail $secure = null,
        ?Trail $deep = null,
        ?Certificate $certificate = null,
    ): SiteSeen {
        return new SiteSeen($addresses, $plain, $secure, $deep, $certificate, Instant::of(self::NOW));
    }

    /**
     * @param  list<string>  $servers
     * @return list<Finding>
     */
    private static function found(Site $site, SiteSeen $seen, array $servers = ['ns1.old.example', 'ns2.old.example']): array
    {
        return SiteJudged::of($site, $seen, $servers, null)->findings(Instant::of(self::NOW));
    }

    /**
     * @param  list<Finding>  $found
     * @return list<string>
     */
    private static function tags(array $found): array
    {
        return array_map(fn (Finding $one): string => (string) $one->tag->value, $found);
    }

    public function test_a_host_at_its_place_whose_pages_and_certificate_are_good_has_no_finding(): void
    {
        $seen = self::seen(
            plain: self::trail('http://a.example/', [[301, 'https://a.example/'], [200]]),
            secure: self::trail('https://a.example/', [[200]]),
            certificate: self::certificate(),
        );
        self::assertSame([], self::found(new Site('a.example', '', self::place(), null), $seen));
    }

    /**
     * @param  list<string>  $servers
     * @param  list<array{string, string, string}>|null  $records
     * @param  list<string>  $wanted
     */
    #[DataProvider('cures')]
    public function test_the_shortest_cure(string $label, array $servers, ?array $records, Way $way, Cure $cure, array $wanted): void
    {
        $zone = $records === null
            ? null
            : ZoneCopy::of('a.example', array_map(fn (array $one): Entry => new Entry($one[0], $one[1], 300, $one[2]), $records));
        $site = new Site('a.example', $label, self::place(['ns1.new.example', 'ns2.new.example'], self::THERE), null);
        $judged = SiteJudged::of($site, self::seen(['192.0.2.80']), $servers, $zone);
        self::assertSame($way, $judged->cure?->way);
        self::assertSame($wanted, $judged->cure->records);
        $found = $judged->findings(Instant::of(self::NOW));
        self::assertCount(1, $found);
        self::assertSame($cure, $found[0]->tag->cure());
        self::assertSame('192.0.2.80', $found[0]->with['seen']);
        self::assertSame(self::THERE, $found[0]->with['addresses']);
    }

    /** @return iterable<string, array{string, list<string>, list<array{string, string, string}>|null, Way, Cure, list<string>}> */
    public static function cures(): iterable
    {
        [$old, $new] = [['ns1.old.example', 'ns2.old.example'], ['ns2.new.example', 'ns1.new.example']];
        $pages = [['a.example', 'A', '192.0.2.80'], ['www.a.example', 'CNAME', 'a.example.'], ['a.example', 'NS', 'ns1.old.example.']];
        $mail = [...$pages, ['a.example', 'MX', '10 mail.a.example.']];
        yield 'the place runs the servers' => ['', $new, $mail, Way::AtPlace, Cure::AskPlace, ['@ A 203.0.113.80']];
        yield 'nothing but pages' => ['', $old, $pages, Way::Servers, Cure::ChangeServers, ['@ A 203.0.113.80']];
        yield 'mail hangs on it' => ['', $old, $mail, Way::Records, Cure::SetRecords, ['@ A 203.0.113.80']];
        yield 'nobody knows what hangs on it' => ['', $old, null, Way::Records, Cure::SetRecords, ['@ A 203.0.113.80']];
        yield 'nobody answers for it' => ['', [], $mail, Way::Servers, Cure::ChangeServers, ['@ A 203.0.113.80']];
        yield 'a host that follows the name' => ['www', $old, $mail, Way::Records, Cure::SetRecords, ['@ A 203.0.113.80']];
        $alias = [...$mail, ['shop.a.example', 'CNAME', 'shops.old.example.']];
        yield 'a host that follows another' => ['shop', $old, $alias, Way::Records, Cure::SetRecords, [
            '- shop CNAME',
            'shop A 203.0.113.80',
        ]];
        $six = [...$mail, ['a.example', 'AAAA', '2001:db8::80']];
        yield 'another kind of address' => ['', $old, $six, Way::Records, Cure::SetRecords, ['@ A 203.0.113.80', '- @ AAAA']];
        $text = [['a.example', 'A', '192.0.2.80'], ['a.example', 'TXT', '"token=1"']];
        yield 'a proof of ownership hangs on it' => ['', $old, $text, Way::Records, Cure::SetRecords, ['@ A 203.0.113.80']];
    }

    public function test_a_zone_that_was_not_read_whole_is_not_moved_for_its_pages(): void
    {
        $zone = ZoneCopy::of('a.example', [new Entry('a.example', 'A', 300, '192.0.2.80')], ['a.example MX']);
        $site = new Site('a.example', '', self::place(['ns1.new.example', 'ns2.new.example'], self::THERE), null);
        $judged = SiteJudged::of($site, self::seen(['192.0.2.80']), ['ns1.old.example', 'ns2.old.example'], $zone);
        self::assertSame(Way::Records, $judged->cure?->way);
    }

    public function test_what_leads_to_its_own_secure_page_is_no_redirect(): void
    {
        $seen = self::seen(plain: self::trail('http://a.example/', [[301, 'https://a.example/'], [200]]), certificate: self::certificate());
        $site = new Site('a.example', '', null, self::redirect('https://a.example/'));
        self::assertSame(['not_redirected'], self::tags(self::found($site, $seen)));
    }

    public function test_who_answers_nowhere_lacks_no_certificate_beside(): void
    {
        $seen = self::seen(
            plain: self::trail('http://a.example/', [NotVisited::Silent]),
            secure: self::trail('https://a.example/', [NotVisited::Silent]),
        );
        self::assertSame(['silent'], self::tags(self::found(new Site('a.example', '', self::place(), null), $seen)));
    }

    public function test_an_empty_location_leads_nowhere(): void
    {
        $trail = self::trail('http://a.example/', [[301, '']]);
        self::assertFalse($trail->isEndless());
        self::assertSame([], $trail->redirects());
    }

    public function test_one_of_several_addresses_is_enough_and_a_foreign_one_too_many(): void
    {
        $place = self::place([], self::THERE, '2001:DB8:0::80');
        self::assertTrue($place->isAt([self::THERE]));
        self::assertTrue($place->isAt(['2001:db8::80', self::THERE]));
        self::assertFalse($place->isAt([self::THERE, '192.0.2.80']));
        self::assertFalse($place->isAt([]));
        self::assertSame(['no_address'], self::tags(self::found(new Site('a.example', 'shop', $place, null), self::seen([]))));
    }

    /**
     * @param  list<array{int, 1?: string}|NotVisited>  $answers
     * @param  list<string>  $tags
     */
    #[TestWith([[[200]], []])]
    #[TestWith([[[404]], ['no_page']])]
    #[TestWith([[[503]], ['server_error']])]
    #[TestWith([[[301, 'https://www.a.example/'], [200]], []], 'to a host of its own')]
    #[TestWith([[[302, 'https://parked.example/?a.example'], NotVisited::NotListed], ['leads_away']])]
    #[TestWith([[[301, '/start'], [301, '/']], ['loop']])]
    #[TestWith([[NotVisited::Silent], ['silent']])]
    #[TestWith([[[301, '/1'], [301, '/2'], [301, '/3'], [200]], ['chain', 'ends_insecure']])]
    #[TestWith([[[301, 'mailto:a@a.example']], []], 'to what is no page')]
    public function test_pages_of_its_own(array $answers, array $tags): void
    {
        $seen = self::seen(plain: self::trail('http://a.example/', $answers), certificate: self::certificate());
        self::assertSame($tags, self::tags(self::found(new Site('a.example', '', self::place(), null), $seen)));
    }

    public function test_a_host_that_answers_over_tls_alone_is_judged_by_that(): void
    {
        $seen = self::seen(
            plain: self::trail('http://a.example/', [NotVisited::Closed]),
            secure: self::trail('https://a.example/', [[500]]),
            certificate: self::certificate(),
        );
        self::assertSame(['server_error'], self::tags(self::found(new Site('a.example', '', self::place(), null), $seen)));
    }

    public function test_a_host_whose_address_may_not_be_asked_has_no_finding(): void
    {
        $seen = self::seen(
            plain: self::trail('http://a.example/', [NotVisited::NotListed]),
            secure: self::trail('https://a.example/', [NotVisited::NotListed]),
        );
        self::assertFalse($seen->isAsked());
        self::assertSame([], self::found(new Site('a.example', '', self::place(), null), $seen));
    }

    /**
     * @param  list<array{int, 1?: string}|NotVisited>  $answers
     * @param  list<string>  $tags
     */
    #[TestWith([[[301, 'https://b.example/new'], NotVisited::NotListed], []])]
    #[TestWith([[[301, 'https://b.example/new/'], [200]], []], 'a slash at its end is nothing')]
    #[TestWith([[[301, 'https://a.example/'], [308, 'https://b.example/new'], [200]], []], 'to its own secure page first')]
    #[TestWith([[[302, 'https://b.example/new'], [200]], ['temporary']])]
    #[TestWith([[[301, 'https://c.example/'], [200]], ['other_target']])]
    #[TestWith([[[200]], ['not_redirected']])]
    #[TestWith([[[301, 'https://www.a.example/'], [200]], ['not_redirected']], 'to a host of its own, and no further')]
    #[TestWith([[[301, 'https://c.example/'], [301, 'https://b.example/new'], [200]], ['chain']])]
    #[TestWith([[[301, 'http://b.example/new'], [200]], ['ends_insecure']])]
    #[TestWith([[[301, 'https://b.example/new'], [301, 'http://a.example/']], ['loop']])]
    #[TestWith([[NotVisited::Silent], ['silent']])]
    public function test_a_redirect(array $answers, array $tags): void
    {
        $seen = self::seen(plain: self::trail('http://a.example/', $answers), certificate: self::certificate());
        $site = new Site('a.example', '', null, self::redirect('https://b.example/new'));
        self::assertSame($tags, self::tags(self::found($site, $seen)));
    }

    public function test_where_it_leads_instead_is_told(): void
    {
        $seen = self::seen(plain: self::trail('http://a.example/', [[301, 'https://c.example/x'], NotVisited::NotListed]));
        $found = self::found(new Site('a.example', '', null, self::redirect('https://b.example/')), $seen);
        self::assertSame(['host' => 'a.example', 'to' => 'https://c.example/x', 'target' => 'https://b.example/'], $found[0]->with);
    }

    public function test_temporary_and_permanent(): void
    {
        $site = new Site('a.example', '', null, self::redirect('https://b.example/', false));
        $for = fn (int $status): array => self::tags(
            self::found($site, self::seen(plain: self::trail('http://a.example/', [[$status, 'https://b.example/']]))),
        );
        self::assertSame(['permanent'], $for(301));
        self::assertSame(['permanent'], $for(308));
        self::assertSame([[], [], []], array_map($for, [302, 303, 307]));
    }

    /** @param  list<string>  $tags */
    #[TestWith(['https://b.example/new/acre-roll/path?kept=1', true, []])]
    #[TestWith(['https://b.example/new', true, ['path_lost']])]
    #[TestWith(['https://b.example/new/acre-roll/path?kept=1', false, ['path_kept']])]
    #[TestWith(['https://b.example/new', false, []])]
    #[TestWith(['https://b.example/elsewhere', true, []], 'neither: nobody knows')]
    public function test_whether_the_path_is_kept(string $leads, bool $keeps, array $tags): void
    {
        $seen = self::seen(
            plain: self::trail('http://a.example/', [[301, 'https://b.example/new'], NotVisited::NotListed]),
            deep: self::trail('http://a.example'.SiteSeen::PROBE, [[301, $leads], NotVisited::NotListed]),
        );
        $site = new Site('a.example', '', null, self::redirect('https://b.example/new', true, $keeps));
        self::assertSame($tags, self::tags(self::found($site, $seen)));
    }

    public function test_ten_redirects_are_followed_and_then_no_more(): void
    {
        $trail = Trail::from(WebAddress::of('http://a.example/0'));
        for ($step = 1; $trail->next !== null; $step++) {
            $trail = $trail->then(Visit::answered($trail->next, 301, "/{$step}"));
        }
        self::assertCount(Trail::LONGEST + 1, $trail->visits);
        self::assertTrue($trail->isEndless());
    }

    /**
     * @param  list<string>  $names
     * @param  list<string>  $tags
     */
    #[TestWith([['a.example'], '2026-10-20T09:00:00Z', null, '2026-09-01', []], 'two weeks before its end')]
    #[TestWith([['a.example'], '2026-10-20T08:59:59Z', null, '2026-09-01', ['certificate_ends']])]
    #[TestWith([['a.example'], '2026-10-06T08:59:59Z', null, '2026-07-01', ['certificate_over']])]
    #[TestWith([['a.example'], '2026-12-01', null, '2026-10-06T09:00:01Z', ['certificate_early']])]
    #[TestWith([['www.a.example', '*.a.example'], '2026-12-01', null, '2026-09-01', ['certificate_of_others']])]
    #[TestWith([[], '2026-12-01', null, '2026-09-01', ['certificate_of_others']])]
    #[TestWith([['a.example'], '2026-12-01', CertificateFault::SelfSigned, '2026-09-01', ['certificate_self_signed']])]
    #[TestWith([['a.example'], '2026-12-01', CertificateFault::Incomplete, '2026-09-01', ['certificate_incomplete']])]
    #[TestWith([['a.example'], '2026-12-01', CertificateFault::Stranger, '2026-09-01', ['certificate_stranger']])]
    #[TestWith([['a.example'], '2026-12-01', CertificateFault::SignerLapsed, '2026-09-01', ['certificate_broken']])]
    public function test_a_certificate(array $names, string $until, ?CertificateFault $fault, string $from, array $tags): void
    {
        $seen = self::seen(
            plain: self::trail('http://a.example/', [[200]]),
            certificate: self::certificate($names, $until, $fault, $from),
        );
        self::assertSame($tags, self::tags(self::found(new Site('a.example', '', self::place(), null), $seen)));
    }

    /**
     * RFC 9525 §6.3 and its examples of what an asterisk stands for.
     *
     * @param  list<string>  $names
     */
    #[TestWith([['*.example.net'], 'foo.example.net', true])]
    #[TestWith([['*.example.net'], 'example.net', false])]
    #[TestWith([['*.example.net'], 'bar.foo.example.net', false])]
    #[TestWith([['f*.example.net'], 'foo.example.net', false])]
    #[TestWith([['*.net'], 'example.net', false])]
    #[TestWith([['Foo.Example.net.'], 'foo.example.net', true])]
    public function test_which_hosts_a_certificate_covers(array $names, string $host, bool $covers): void
    {
        self::assertSame($covers, self::certificate($names)->covers($host));
    }

    /** @param  list<string>  $tags */
    #[TestWith([NotVisited::Closed, ['no_tls']])]
    #[TestWith([NotVisited::NoTls, ['no_tls']])]
    #[TestWith([NotVisited::NotListed, []])]
    public function test_no_certificate(NotVisited $fault, array $tags): void
    {
        $seen = self::seen(
            plain: self::trail('http://a.example/', [[200]]),
            secure: self::trail('https://a.example/', [$fault]),
        );
        self::assertSame($tags, self::tags(self::found(new Site('a.example', '', self::place(), null), $seen)));
    }
}
