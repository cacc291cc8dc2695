<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Exception\UnknownErrorException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverSelect;
use RuntimeException;

/** One headless Chromium of an exact size on the test stack. Every step waits for the page's ready mark. */
final readonly class Window
{
    private function __construct(public RemoteWebDriver $driver, private string $address, private int $patience)
    {
    }

    public static function open(int $width = 1280, int $height = 800): self
    {
        $options = (new ChromeOptions())->addArguments([
            '--headless=new',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-dev-shm-usage',
            '--force-device-scale-factor=1',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--hide-scrollbars',
            "--window-size={$width},{$height}",
        ]);
        $capabilities = DesiredCapabilities::chrome()
            ->setCapability(ChromeOptions::CAPABILITY, $options)
            ->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $driver = RemoteWebDriver::create(self::setting('ACRE_DRIVER'), $capabilities, 30_000, 60_000);
        $window = new self($driver, self::setting('APP_URL'), (int) self::setting('ACRE_BROWSER_PATIENCE', '20'));
        $window->size($width, $height);

        return $window;
    }

    private static function setting(string $name, ?string $otherwise = null): string
    {
        $set = getenv($name);

        return $set === false ? $otherwise ?? throw new RuntimeException("{$name} is not set: run this by ./acre test browser.") : $set;
    }

    public function size(int $width, int $height): void
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => false,
        ]);
    }

    public function dark(bool $isDark): self
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setEmulatedMedia', [
            'features' => [['name' => 'prefers-color-scheme', 'value' => $isDark ? 'dark' : 'light']],
        ]);

        return $this;
    }

    public function go(string $path): self
    {
        $this->driver->get($this->address.$path);

        return $this->ready();
    }

    public function ready(): self
    {
        return $this->waitFor('html[data-ready=yes]');
    }

    public function find(string $css): RemoteWebElement
    {
        $this->waitFor($css);

        return $this->driver->findElement(WebDriverBy::cssSelector($css));
    }

    public function has(string $css): bool
    {
        return $this->driver->findElements(WebDriverBy::cssSelector($css)) !== [];
    }

    public function type(string $css, string $text): self
    {
        $this->find($css)->clear()->sendKeys($text);

        return $this;
    }

    /** Clicks what leads to another page, and waits until that one is ready. */
    public function follow(string $css): self
    {
        return $this->leave($this->find($css));
    }

    /** Clicks the link or button with these words. */
    public function press(string $words): self
    {
        $quoted = "'".str_replace("'", '’', $words)."'";
        $found = $this->driver->findElements(
            WebDriverBy::xpath(
                '//main//*[self::a or self::button][contains(normalize-space(.), '
                    ."{$quoted})] | //*[contains(@class,'foot')]//*[self::a or self::button][contains(normalize-space(.), {$quoted})]",
            ),
        );
        if ($found === []) {
            throw new RuntimeException("Nothing to press says “{$words}” on: ".mb_substr($this->text(), 0, 1500));
        }

        return $this->leave($found[0]);
    }

    private function leave(RemoteWebElement $element): self
    {
        // Clear of the bar at the foot.
        $this->driver->executeScript(
            "document.documentElement.setAttribute('data-left', 'yes');
            arguments[0].scrollIntoView({block: 'center', behavior: 'instant'})",
            [$element],
        );
        $element->click();

        return $this->waitFor('html[data-ready=yes]:not([data-left])');
    }

    /** Until it is there; for pages without a ready mark, which are no part of the product. */
    public function waitFor(string $css): self
    {
        return $this->until(fn (): bool => $this->has($css), $css);
    }

    /** @param  callable(): bool  $isSo */
    private function until(callable $isSo, string $what): self
    {
        try {
            $this->driver->wait($this->patience, 50)->until($isSo);
        } catch (TimeoutException) {
            $seen = $this->driver->findElement(WebDriverBy::cssSelector('body'))->getText();
            throw new RuntimeException("{$what} did not come on {$this->driver->getCurrentURL()}, which says: ".mb_substr($seen, 0, 1500));
        }

        return $this;
    }

    public function waitForText(string $css, string $text): self
    {
        // Asked in one breath: an element that was found may belong to a page that is gone by the next question.
        return $this->until(
            fn (): bool => $this->driver->executeScript(
                'return document.querySelector(arguments[0])?.innerText.includes(arguments[1]) ?? false',
                [$css, $text],
            ) === true,
            "“{$text}” in {$css}",
        );
    }

    public function text(string $css = 'body'): string
    {
        return $this->find($css)->getText();
    }

    public function signIn(string $mailbox, string $password): self
    {
        return $this->go('/sign-in')->type('#f-email', $mailbox)->type('#f-password', $password)->press('Sign in');
    }

    public function count(string $css): int
    {
        return count($this->driver->findElements(WebDriverBy::cssSelector($css)));
    }

    public function choose(string $css, string $words): self
    {
        (new WebDriverSelect($this->find($css)))->selectByVisibleText($words);

        return $this;
    }

    /** @return list<string> what the browser held against the pages so far: blocked by the policy, not found, failed */
    public function complaints(): array
    {
        $said = [];
        /** @var array{message: string} $entry */
        foreach ($this->driver->manage()->getLog('browser') as $entry) {
            $said[] = $entry['message'];
        }

        return $said;
    }

    /**
     * @return list<string> what axe-core finds against WCAG 2.2 AA, a line each
     *
     * @phpstan-impure
     */
    public function axe(): array
    {
        // The page's policy holds for the page; the driver's own script is not the page's.
        $this->driver->executeScript((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        $found = $this->driver->executeAsyncScript(
            <<<'JS'
            const done = arguments[arguments.length - 1];
            axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] }).then(
                (result) => done(
                    result.violations.map((v) => `${v.id}: ${v.nodes.slice(0, 3).map((n) => n.html.slice(0, 160)).join(' | ')}`),
                ),
                (error) => done([String(error)]),
            );
            JS
            ,
        );

        return array_values(array_filter(is_array($found) ? $found : ['axe-core said nothing'], is_string(...)));
    }

    /** Opens what is folded but menus, which lie over the page. @return int how many */
    public function unfold(): int
    {
        $opened = $this->driver->executeScript(
            "const all = document.querySelectorAll('details:not([open], .menu, .word, .up)'); all.forEach((one) => { one.open = true; }); "
                .'return all.length;',
        );

        return is_int($opened) ? $opened : 0;
    }

    /** How wide the document is, which is more than the window when something scrolls sideways. */
    public function width(): int
    {
        $width = $this->driver->executeScript('return document.documentElement.scrollWidth');

        return is_int($width) ? $width : PHP_INT_MAX;
    }

    public function withoutScripts(): void
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setScriptExecutionDisabled', ['value' => true]);
    }

    /** Without scripts: the driver itself waits for the document that the click leads to. */
    public function pressPlainly(string $words): self
    {
        return $this->leavePlainly("//button[contains(normalize-space(.), '{$words}')]");
    }

    /** The page is left when what was clicked belongs to it no more. */
    public function leavePlainly(string $xpath): self
    {
        $element = $this->driver->findElement(WebDriverBy::xpath($xpath));
        $element->click();

        return $this->until(function () use ($element): bool {
            try {
                $element->isEnabled();

                return false;
            } catch (StaleElementReferenceException|UnknownErrorException) {
                // In the moment of leaving, the driver has another word for the same thing.
                return true;
            }
        }, "the page behind {$xpath}");
    }

    /** What is typed goes to whatever has the focus. */
    public function keys(string ...$keys): self
    {
        $this->driver->getKeyboard()->sendKeys(array_values($keys));

        return $this;
    }

    public function focused(): RemoteWebElement
    {
        return $this->driver->switchTo()->activeElement();
    }

    /** Without scripts there is no ready mark; the driver itself waits for the document. */
    public function goPlainly(string $path): self
    {
        $this->driver->get($this->address.$path);

        return $this;
    }

    public function picture(string $file): void
    {
        $this->driver->takeScreenshot($file);
    }

    public function close(): void
    {
        $this->driver->quit();
    }
}
