<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use PHPUnit\Framework\TestCase;

/** Names between registrars, in a real browser, on the demo: one in by wire, one out with its code handed over, a migration. */
final class MovingTest extends TestCase
{
    private const PASSWORD = 'a tern over the sound';

    private ?Window $window = null;

    protected function tearDown(): void
    {
        $this->window?->close();
    }

    private function window(): Window
    {
        return $this->window = Window::open(1280, 800)->signIn('theo@harrow-tern.example', self::PASSWORD);
    }

    /** One .com by wire at both ends, every step seen, until it has arrived; one .uk by tag on the slip beside it. */
    public function test_a_name_is_transferred_by_wire_and_another_by_tag(): void
    {
        $window = $this->window();
        $window->go('/deeds/transfer?name=coop-advice.com,coop-clinic.co.uk')
            ->choose('#f-account', 'Lantern Wholesale L-5520')
            ->press('Preview')
            ->waitForText('.foot', '2 of 2 can go now');
        self::assertStringContainsString('Costs £9.90 with tax', $window->text('main'));
        self::assertSame([], $window->axe());
        $window->press('Transfer 2 names to Lantern Wholesale')->waitForText('main', 'Change the registrar tag of these names');
        self::assertStringContainsString('LANTERN', $window->text('.slip'));
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        // Its workers tell both registrars, and hear what they say.
        $window->driver->wait(120, 500)->until(
            fn (): bool => str_contains($window->go($docket)->text('progress + .lesser'), '1 of 2 done'),
        );
        $window->driver->findElement(WebDriverBy::xpath("//tr[contains(., 'coop-advice.com')]//a[.='All steps']"))->click();
        $window->waitForText('.sentence', 'It arrived on')->ready();
        self::assertStringContainsString('Lantern Wholesale L-5520', $window->text('main'));
        self::assertSame([], $window->axe());
        $window->go($docket)->find("[aria-label='Select coop-clinic.co.uk']")->click();
        $window->press('Mark selected as done')->waitForText('.sentence', 'Closed on');
        $window->go('/names/coop-clinic.co.uk')->waitForText('main', 'Lantern Wholesale');
    }

    /** What leaves: the code behind a link that works once, read on a telephone. */
    public function test_a_code_is_handed_out_on_a_telephone(): void
    {
        $window = $this->window();
        $window->go('/deeds/transfer_away?name=curtain-season.com')
            ->type('#f-to', 'Northgate Names')
            ->type('#f-mailbox', 'new-owner@curtain.example')
            ->press('Preview')
            ->waitForText('.foot', '1 of 1 can go now');
        self::assertSame([], $window->axe());
        $window->press('Prepare one name to leave for Northgate Names')->waitForText('main', 'on its way');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->driver->wait(150, 1_000)->until(
            fn (): bool => str_contains($window->go($docket)->text('main'), 'The auth codes were sent to new-owner@curtain.example'),
        );
        $subject = WebDriverBy::partialLinkText('The auth code of curtain-season.com');
        $window->driver->wait(60, 500)->until(function () use ($window, $subject): bool {
            $window->driver->get('http://127.0.0.1:'.getenv('WORLD_PAGE_PORT').'/letters');

            return $window->driver->findElements($subject) !== [];
        });
        $window->driver->findElement($subject)->click();
        preg_match('~/answer/[A-Za-z0-9_-]{43}~', $window->driver->getPageSource(), $found);
        $window->size(390, 844);
        $window->go($found[0] ?? '/')->waitForText('h1', 'The auth code of a domain name');
        self::assertSame([], $window->axe());
        self::assertLessThanOrEqual(390, $window->width());
        $window->press('Show them now')->waitForText('main', 'this page can’t be opened again');
        self::assertSame([], $window->axe());
        $window->go($found[0] ?? '/')->waitForText('h1', 'no longer works');
    }

    /** Gathered, planned, saved, its pilot started, and seen to go on. */
    public function test_a_migration_is_planned_and_its_pilot_started(): void
    {
        $window = $this->window();
        $names = 'descant-voices.com,evensong-voices.net,evensong-weekend.com,footlight-fund.com,fowl-care.net,fowl-clinic.com';
        $window->go("/plans/create?name={$names}")->choose('#f-account', 'Lantern Wholesale L-5520');
        foreach (['#f-pilot' => '2', '#f-per_day' => '2'] as $field => $value) {
            $window->find($field)->clear();
            $window->type($field, $value);
        }
        $window->press('Plan')->waitForText('.sentence', '6 can go');
        self::assertStringContainsString('Nothing moves, and nothing is paid', $window->text('.foot'));
        self::assertSame([], $window->axe());
        $window->press('Save this plan')->waitForText('h1', 'Transfer 6 names to Lantern Wholesale')->ready();
        self::assertSame([], $window->axe());
        $plan = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->press('Start 2 names')->waitForText('h1', 'Transfer 2 names to Lantern Wholesale');
        $window->driver->wait(120, 500)->until(fn (): bool => str_contains($window->go($plan)->text('dl.figures'), "Arrived\n2"));
        $window->go('/movements')->ready();
        self::assertSame([], $window->axe());
    }
}
