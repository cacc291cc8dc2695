<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverSelect;
use PHPUnit\Framework\TestCase;

/** What renews, in a real browser, on the demo: a client answers on their telephone, a price rise is compared, names are renewed. */
final class MoneyTest extends TestCase
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

    /** Three are kept, one is let go: on a page without signing in, on a telephone. */
    public function test_a_client_keeps_three_names_and_lets_one_go(): void
    {
        $window = $this->window();
        $window->go('/clients/2/ask?months=12')->ready();
        self::assertSame([], $window->axe());
        $ticks = $window->driver->findElements(WebDriverBy::cssSelector('input[name="names[]"]'));
        foreach (array_slice($ticks, 4) as $tick) {
            $tick->click();
        }
        $window->press('Ask by letter')->waitForText('.sentence', 'An answer is due by');
        self::assertSame([], $window->axe());
        $ask = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $subject = WebDriverBy::partialLinkText('Which of your domain names do you keep?');
        $window->driver->wait(60, 500)->until(function () use ($window, $subject): bool {
            $window->driver->get('http://127.0.0.1:'.getenv('WORLD_PAGE_PORT').'/letters');

            return $window->driver->findElements($subject) !== [];
        });
        $window->driver->findElement($subject)->click();
        preg_match('~/answer/[A-Za-z0-9_-]{43}~', $window->driver->getPageSource(), $found);
        $window->size(390, 844);
        $window->go($found[0] ?? '/')->waitForText('h1', 'which of these 4 domain names do you keep?');
        self::assertSame([], $window->axe());
        self::assertLessThanOrEqual(390, $window->width());
        // One is forgotten first: what was chosen stays.
        $choose = function (int $place, string $answer) use ($window): void {
            $all = $window->driver->findElements(WebDriverBy::cssSelector('td select'));
            (new WebDriverSelect($all[$place]))->selectByVisibleText($answer);
        };
        foreach (['keep for 1 year', 'keep for 2 years', 'keep for 1 year'] as $place => $answer) {
            $choose($place, $answer);
        }
        $window->press('Send these answers')->waitForText('main', 'Please choose an answer for each name.');
        $choose(3, 'let it lapse');
        $window->press('Send these answers')->waitForText('main', 'will renew 3 names for you');
        self::assertStringContainsString('One name will be left to lapse.', $window->text('main'));
        self::assertSame([], $window->axe());
        $window->size(1280, 800);
        $window->go($ask)->waitForText('.sentence', 'They answered on');
        self::assertStringContainsString('keep for 2 years', $window->text('main'));
        self::assertStringContainsString('its intent is to lapse', $window->text('main'));
        $window->press('docket ')->waitForText('h1', 'Renew')->ready();
        self::assertSame([], $window->axe());
    }

    public function test_a_price_rise_is_compared_over_three_years(): void
    {
        $window = $this->window();
        $window->go('/almanac?of=account-2&months=36')->ready();
        $before = $window->text('main');
        self::assertStringContainsString('Charges in this time', $before);
        $window->driver->findElement(WebDriverBy::cssSelector('main details:not(.menu) summary'))->click();
        $window->type('#f-rise', '12,5');
        $window->press('Show it')->waitForText('.told', 'against')->ready();
        self::assertMatchesRegularExpression('/It would be £[\d.]+, against £[\d.]+ as it is: £[\d.]+ more\./', $window->text('.told'));
        self::assertSame([], $window->axe());
        // Its address holds it all.
        $window->go((string) preg_replace('~^https?://[^/]+~', '', $window->driver->getCurrentURL()))->waitForText('.told', 'against');
        $window->press('Back to how it is')->ready();
        self::assertStringNotContainsString('against', $window->text('main'));
    }

    /** It was overlooked, and is deleted: from Rounds to a name that works again, by bridge. */
    public function test_a_deleted_name_is_restored(): void
    {
        $window = $this->window();
        $window->go('/rounds')->ready();
        $window->follow('a[href*="/deeds/restore"][href*="harbour-lights.com"]')->waitForText('h1', 'Restore one name')->ready();
        self::assertStringContainsString('It can be restored until 28 Oct, then it is lost', $window->text('main'));
        self::assertStringContainsString('Costs £95.00 with tax.', $window->text('main'));
        self::assertSame([], $window->axe());
        (new WebDriverSelect($window->find('[name=reason]')))->selectByVisibleText('The registrant was not asked in time');
        $window->press('Update the preview')->waitForText('.foot', '1 of 1 can go now');
        $window->press('Restore one name')->waitForText('main', 'Restore');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->driver->wait(120, 500)->until(
            fn (): bool => str_contains($window->go($docket)->text('.sentence'), 'Closed on'),
        );
        self::assertSame([], $window->axe());
        $window->go('/names/harbour-lights.com')->ready();
        self::assertStringNotContainsString('Only after a restore', $window->text('main'));
        self::assertStringContainsString('19 Aug 2027', $window->text('main'));
    }

    /** What it would be elsewhere, a part of it nearer, and a client's year. */
    public function test_the_almanac_otherwise_and_nearer_and_a_client_s_year(): void
    {
        $window = $this->window();
        $window->go('/almanac?of=account-1')->ready();
        $window->driver->findElement(WebDriverBy::cssSelector('main details:not(.menu) summary'))->click();
        (new WebDriverSelect($window->find('[name=move-to]')))->selectByVisibleText('Oriel Names 7731');
        $window->press('Show it')->waitForText('.told', 'against')->ready();
        self::assertSame([], $window->axe());
        $window->press('Jan 2027')->waitForText('.zoom', 'all of it')->ready();
        self::assertStringContainsString('against', $window->text('.told'));
        self::assertStringNotContainsString('Nov 2026', $window->text('table.sheet tbody'));
        self::assertSame([], $window->axe());
        $window->go('/clients/2/year')->ready();
        self::assertStringContainsString('It only redirects to https://wickerby-bells.com/', $window->text('main'));
        self::assertSame([], $window->axe());
        $window->press('Fewer renewal dates')->waitForText('h1', 'Fewer renewal dates')->ready();
        self::assertSame([], $window->axe());
        $window->press('for one year')->waitForText('h1', 'for one year')->ready();
    }

    public function test_names_of_three_registrars_are_renewed_in_one_deed(): void
    {
        $window = $this->window();
        $window->go('/deeds/renew?name=seafolk-voices.co.uk,nightsky-evenings.co.uk,marrow-boats.uk')
            ->press('Update the preview')
            ->waitForText('.foot', '3 of 3 can go now');
        self::assertStringContainsString('Costs £22.80 with tax', $window->text('main'));
        self::assertSame([], $window->axe());
        $window->press('Renew 3 names for one year')->waitForText('main', 'Renew these names');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->driver->wait(120, 500)->until(
            fn (): bool => str_contains($window->go($docket)->text('progress + .lesser'), '2 of 3 done'),
        );
        $window->find("[aria-label='Select marrow-boats.uk']")->click();
        $window->press('Mark selected as done')->waitForText('.sentence', 'Closed on');
        $window->go('/names/seafolk-voices.co.uk')->waitForText('main', '3 Dec 2027');
    }
}
