<?php

declare(strict_types=1);

namespace Tests\Core\Hosting;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Hosting\Place;
use Acre\Core\Hosting\PlaceKind;
use Acre\Core\Hosting\Redirect;
use Acre\Core\Hosting\RedirectWanted;
use Acre\Core\Hosting\Site;
use Acre\Core\Hosting\WebAddress;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RedirectWantedTest extends TestCase
{
    private static function wanted(string $target = 'https://b.example/', ?Place $by = null): RedirectWanted
    {
        return new RedirectWanted(new Redirect(WebAddress::of($target), true, true), $by);
    }

    /** @return list<Site> the name and its www */
    private static function sites(?Redirect $redirect = null, ?Place $place = null, string $zone = 'a.example'): array
    {
        return [new Site($zone, '', $place, $redirect), new Site($zone, 'www', $place, $redirect)];
    }

    /**
     * @param  list<Finding>  $found
     * @return array<string, Effect>
     */
    private static function effects(array $found): array
    {
        return array_combine(
            array_map(function (Finding $one): string {
                $host = $one->with['host'] ?? '';

                return $one->tag->value.' '.(is_string($host) ? $host : '');
            }, $found),
            array_map(fn (Finding $one): Effect => $one->effect, $found),
        );
    }

    /**
     * @param  array<string, string>  $others
     * @param  array<string, Effect>  $effects
     */
    #[TestWith(['https://b.example/', [], []])]
    #[TestWith(['https://www.a.example/', [], ['to_itself www.a.example' => Effect::Stops]])]
    #[TestWith(['https://www.a.example/', ['www.a.example' => 'https://a.example/'], ['to_itself www.a.example' => Effect::Stops]])]
    #[TestWith(['https://shop.a.example/', [], []], 'another host of the same name is no circle')]
    #[TestWith(['https://b.example/', ['b.example' => 'https://a.example/x'], ['loop a.example' => Effect::Stops]])]
    #[TestWith(['https://b.example/', ['b.example' => 'https://c.example/', 'c.example' => 'http://www.a.example/'], [
        'loop www.a.example' => Effect::Stops,
    ]])]
    #[TestWith(['https://b.example/', ['b.example' => 'https://c.example/'], ['leads_on ' => Effect::Worth]])]
    #[TestWith(['https://b.example/', ['b.example' => 'https://c.example/', 'c.example' => 'https://b.example/'], [
        'leads_on ' => Effect::Worth,
    ]], 'a circle of others')]
    public function test_where_it_would_lead(string $target, array $others, array $effects): void
    {
        $found = self::wanted($target)->findings(self::sites(), [], array_map(WebAddress::of(...), $others), [], false);
        self::assertSame($effects, self::effects($found));
    }

    public function test_pages_that_would_be_covered_are_named(): void
    {
        $place = Place::of('Shared 4', '', PlaceKind::Pages, ['192.0.2.80'], null);
        $found = self::wanted()->findings(self::sites(), [new Site('a.example', '', $place, null)], [], [], false);
        self::assertSame(['has_pages a.example' => Effect::Worth], self::effects($found));
    }

    public function test_a_name_that_is_not_where_it_would_be_redirected(): void
    {
        $by = Place::of('Forwarding', 'Pellbridge', PlaceKind::Redirects, ['198.51.100.80'], null);
        $seen = ['a.example' => ['192.0.2.80'], 'www.a.example' => ['198.51.100.80']];
        $found = self::wanted(by: $by)->findings(self::sites(), [], [], $seen, false);
        self::assertSame(['not_there a.example' => Effect::Worth], self::effects($found));
        self::assertSame([], self::wanted(by: $by)->findings(self::sites(), [], [], [], false), 'nobody has looked yet');
    }

    public function test_a_suffix_whose_pages_are_secure_only(): void
    {
        $found = self::wanted()->findings(self::sites(zone: 'kelp.app'), [], [], [], true);
        self::assertSame('app', $found[0]->with['suffix']);
    }
}
