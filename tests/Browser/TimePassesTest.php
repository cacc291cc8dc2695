<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverExpectedCondition;
use PHPUnit\Framework\TestCase;

/** What comes with time, on the demo: the last journey of all, as it moves everybody's clock. */
final class TimePassesTest extends TestCase
{
    private const PASSWORD = 'a tern over the sound';

    private ?Window $window = null;

    protected function tearDown(): void
    {
        $this->window?->close();
    }

    /** A balance that doesn't reach is found in Rounds; one planned top-up carries the year, and a week later the charges went through. */
    public function test_a_short_balance_is_found_topped_up_and_seen_to_be_charged(): void
    {
        $window = $this->window = Window::open(1280, 800)->signIn('theo@harrow-tern.example', self::PASSWORD);
        $window->go('/rounds')->waitForText('main', 'can’t pay one of 2: £13.40 is missing');
        $window->press('See its year ahead');
        $window->waitForText('.sentence', '£13.40 is missing')->ready();
        self::assertGreaterThanOrEqual(5, substr_count($window->text('table'), 'refused'));
        self::assertSame([], $window->axe());
        $window->press('One top-up of');
        $window->waitForText('h1', 'Money of account 40718')->ready();
        self::assertSame([], $window->axe());
        $amount = (string) $window->find('#top-up-amount')->getAttribute('value');
        $window->press('Plan it')->waitForText('[role=status]', 'The top-up is planned');
        $window->go('/almanac?of=account-1')->waitForText('.sentence', 'the money is there for all of it');
        self::assertStringNotContainsString('refused', $window->text('table'));

        $this->inTheWorld($window, '/pay', ['account' => '40718', 'amount' => $amount], 'Pay in');
        $window->go('/accounts/1/money')->press('It is paid in')->waitForText('[role=status]', 'recorded as paid in');
        self::assertStringContainsString('It holds £', $window->text('.sentence'));

        $this->inTheWorld($window, '/clock', ['days' => '8'], 'Move the clock');
        $window->driver->wait(120, 1_000)->until(fn (): bool => str_contains($window->go('/rounds')->text('.mast-day'), '14 Oct 2026'));
        $window->go('/accounts/1/money')->press('Ask the registrar now');
        $window->driver->wait(120, 1_000)->until(
            fn (): bool => str_contains($window->go('/accounts/1/money')->text('main'), 'tern.works'),
        );
        $charged = $window->text('main');
        self::assertStringContainsString('harrow-tern.com', $charged);
        self::assertStringContainsString('the registrar’s message', $charged);
        self::assertStringContainsString('−£13.90', $charged);
        $window->go('/almanac?of=account-1')->ready();
        // A year on there is more to pay.
        self::assertDoesNotMatchRegularExpression('/ 2026 [^\n]*refused/', $window->text('table'));
        self::assertStringNotContainsString('can’t pay', $window->go('/rounds')->text('main'));
    }

    /** @param  array<string, string>  $fields */
    private function inTheWorld(Window $window, string $form, array $fields, string $button): void
    {
        $driver = $window->driver;
        $driver->get('http://127.0.0.1:'.getenv('WORLD_PAGE_PORT').'/');
        foreach ($fields as $name => $value) {
            $field = $driver->findElement(WebDriverBy::cssSelector("form[action='{$form}'] [name='{$name}']"));
            $field->clear();
            $field->sendKeys($value);
        }
        $pressed = $driver->findElement(WebDriverBy::xpath("//form[@action='{$form}']//button[.='{$button}']"));
        $pressed->click();
        // Days take their time there; what is asked for meanwhile would be lost.
        $driver->wait(60, 200)->until(WebDriverExpectedCondition::stalenessOf($pressed));
        $driver->wait(60, 200)->until(
            WebDriverExpectedCondition::presenceOfElementLocated(WebDriverBy::cssSelector("form[action='{$form}'] button")),
        );
    }
}
