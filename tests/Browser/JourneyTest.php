<?php

declare(strict_types=1);

namespace Tests\Browser;

use Acre\Core\Name\DomainName;
use App\Outside\World;
use Database\Seeders\Demo\Servers;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use PHPUnit\Framework\TestCase;

/** The slice from end to end, in a real browser, on the demo. */
final class JourneyTest extends TestCase
{
    private const PASSWORD = 'a tern over the sound';

    private ?Window $window = null;

    protected function tearDown(): void
    {
        $this->window?->close();
    }

    private function window(int $width = 1280, int $height = 800): Window
    {
        return $this->window = Window::open($width, $height);
    }

    public function test_from_a_spreadsheet_to_the_chain_of_title(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        self::assertStringContainsString('/rounds', $window->driver->getCurrentURL());

        $file = (string) tempnam(sys_get_temp_dir(), 'acre-journey-').'.csv';
        $tag = bin2hex(random_bytes(3));
        file_put_contents(
            $file,
            "Domain,Expiry date,Created,Auto-renew,Client\nring-{$tag}.com,2027-10-13,2019-10-13,yes,Sound Kelp "
                ."Farm\ntoll-{$tag}.org,2027-11-20,2020-11-20,no,Sound Kelp "
                ."Farm\nchime-{$tag}.co.uk,2027-12-01,2021-12-01,no,Sound Kelp Farm\nnot_a_name.com,2027-12-01,,,\n",
        );
        $window->go('/imports');
        $window->find('#f-list')->sendKeys($file);
        $window->choose('#f-registrar', 'Pellbridge')->choose('#f-account', 'H-2207, our own');
        $window->press('Continue');
        self::assertStringContainsString('Match the columns', $window->text('h1'));
        self::assertSame([], $window->axe());
        $window->press('Preview the changes')->waitForText('h1', 'Preview');
        $window->ready();
        self::assertSame([], $window->axe());
        self::assertStringContainsString('3 new', $window->text('.sentence'));
        self::assertStringContainsString('1 refused', $window->text('.sentence'));
        $window->press('Import 3 names')->waitForText('h1', '3 names imported');
        self::assertSame([], $window->ready()->axe());
        unlink($file);

        $window->go('/roll?q='.$tag);
        self::assertSame(3, $window->count('table.roll tbody tr'));
        foreach (['ring', 'toll', 'chime'] as $which => $first) {
            $window->find("input[aria-label^='Select {$first}-{$tag}']")->click();
            $window->waitForText('[data-sheaf-count]', (string) ($which + 1));
        }
        $window->follow("a[href*='names/ring-{$tag}.com']");
        self::assertStringContainsString('Auto-renews on 13 Oct', $window->text('.folio-sentence'));
        $window->go('/roll')->follow('#sheaf a.main');
        $window->type('#q', 'H-3240');
        $window->follow('[data-found] a:only-child');
        self::assertStringContainsString('not confirmed to belong together', $window->text('.cards'));
        self::assertStringContainsString('3 of 3 can go now', $window->text('.foot'));
        $window->press('Hand 3 names to Ferret & Fowl Veterinary')->waitForText('.sentence', 'are waiting for an answer');
        $window->ready();
        $docket = (int) basename($window->driver->getCurrentURL());
        self::assertStringContainsString("ring-{$tag}.com", $window->text('.slip'));
        $window->find("input[aria-label^='Select ring-']")->click();
        $window->press('Mark selected as done');
        self::assertStringContainsString('One name is marked as done', $window->text('.told'));
        $window->press('Mark all 2 as done');
        self::assertStringContainsString('Closed on', $window->text('.sentence'));
        $window->press('Proof');
        $digest = trim($window->text('.values'));
        $text = $window->text('.deed-paper pre')."\n";
        self::assertSame($digest, hash('sha256', $text));

        $window->go("/names/toll-{$tag}.org?on=2026-10-06");
        self::assertStringContainsString(
            'Pellbridge H-3240, for Ferret & Fowl Veterinary',
            $window->text('section[aria-labelledby=happened]'),
        );
        self::assertStringContainsString("docket {$docket}", $window->text('section[aria-labelledby=happened]'));
        self::assertSame([], $window->complaints());
    }

    public function test_the_main_deed_works_without_scripts(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        $window->withoutScripts();
        $window->goPlainly('/roll?sort=name&ending=365');
        self::assertGreaterThan(40, $window->count('table.roll tbody tr'));
        $window->goPlainly('/hand-over?name=marrow-boatyard.de&q=H-3115');
        self::assertStringContainsString('Choose the receiving account', $window->text('.foot'));
        $window->leavePlainly("//div[contains(@class, 'found')]/a");
        self::assertStringContainsString('1 of 1 can go now', $window->text('.foot'));
        $window->pressPlainly('Hand 1 name to Marrow’s Boatyard');
        $docket = basename($window->driver->getCurrentURL());
        self::assertMatchesRegularExpression('/^\d+$/', $docket);
        // Whoever has no scripts loads the page again until its names have begun.
        $window->driver->wait(20, 200)->until(function () use ($window, $docket): bool {
            $window->goPlainly('/dockets/'.$docket);

            return str_contains($window->text('.sentence'), 'waiting for an answer');
        });
        $window->pressPlainly('Mark as done');
        self::assertStringContainsString('Closed on', $window->text('.sentence'));
        $window->goPlainly("/dockets/{$docket}/proof");
        self::assertStringContainsString('marrow-boatyard.de', $window->text('.deed-paper'));
    }

    public function test_a_clerk_prepares_and_a_steward_begins_it(): void
    {
        $window = $this->window()->signIn('maud@harrow-tern.example', self::PASSWORD);
        $window
            ->go('/hand-over')
            ->type('#f-names', "old-foundry.com, wickerby-bells.com\nnobody-holds-this.com")
            ->press('Check these names');
        self::assertStringContainsString('One was not found on the Roll', $window->text('.told'));
        $window->type('#q', '51877')->follow('[data-found] a:only-child');
        self::assertStringContainsString('a mailbox in this name', $window->text('table.sheet:not(.keep)'));
        $window->press('Prepare 2 names for Wickerby Bell Foundry');
        self::assertStringContainsString('A Steward must settle it', $window->text('.sentence'));
        self::assertFalse($window->has('form[action$="/settle"]'));
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->close();

        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD)->go($docket);
        $window->press('Start: hand 2 names')->waitForText('.sentence', 'are waiting for an answer');
        $window->waitForText('#tick', 'the receiver must accept');
        self::assertFalse($window->has('.slip'), 'it is told by wire, its lock lifted first');
        $window->ready()->press('Cancel what is open');
        self::assertStringContainsString('Closed on', $window->text('.sentence'));
        $window->go('/names/wickerby-bells.com');
        self::assertStringContainsString('40718', $window->text('.folio-sentence'));
        self::assertSame([], $window->complaints());
    }

    public function test_a_reader_sees_no_button_that_is_not_theirs(): void
    {
        $window = $this->window()->signIn('pim@harrow-tern.example', self::PASSWORD);
        foreach (['/roll', '/names/tern.works', '/dockets/4', '/clients/2', '/registrars/1', '/accounts/1'] as $path) {
            $window->go($path);
            self::assertSame(
                0,
                $window->count(
                    'main form[method=post]:not([action*="/roll/"]) button, .foot button, main a.button[href*="/edit"], main '
                        .'a[href$="/create"]',
                ),
                $path,
            );
        }
        $window->goPlainly('/imports');
        self::assertStringContainsString('Not allowed', $window->text('h1'));
    }

    public function test_the_roll_is_narrowed_kept_and_gathered_whole(): void
    {
        $window = $this->window()->signIn('maud@harrow-tern.example', self::PASSWORD)->go('/roll');
        $window->find('.sentence details.word:has(.narrow-form) > summary')->click();
        $window->find('details.choices:has(input[name="lock[]"]) > summary')->click();
        $window->find('input[name="lock[]"][value=off]')->click();
        $window->type('#facet-suffix', 'com')->press('Show');
        self::assertStringContainsString('under .com (without), lock off (without)', $window->text('.sentence'));
        $shown = $window->count('table.roll tbody tr');
        self::assertGreaterThan(2, $shown);
        $window->find('.sentence-deeds details:has(#view-name) > summary')->click();
        $window->type('#view-name', 'Unlocked .com')->press('Save');
        $window->find('.head-deeds details:last-of-type > summary')->click();
        $window->find('input[value=registrant]')->click();
        $window->press('Apply');
        self::assertSame(1, $window->count('th.c-more'));
        $window->press('Select all');
        self::assertSame($shown, (int) $window->text('[data-sheaf-count]'));
        $window->follow('#sheaf .foot-say a')->press('Remove');
        self::assertSame($shown - 1, (int) $window->text('[data-sheaf-count]'));
        $window->find('main details.card > summary')->click();
        $window->type('#f-names', 'tern.works, nobody-has-this.com')->press('Add to the sheaf');
        self::assertStringContainsString('nobody-has-this.com', $window->text('.told'));
        self::assertSame($shown, (int) $window->text('[data-sheaf-count]'));
        $window->press('Empty');
        self::assertSame([], $window->axe());
        self::assertSame([], $window->complaints());
    }

    public function test_what_is_typed_in_the_mast_is_found_while_it_is_typed(): void
    {
        $window = $this->window()->signIn('pim@harrow-tern.example', self::PASSWORD)->go('/roll');
        $window->keys('/');
        $window->keys('wickerby bel')->waitForText('.mast-found', 'Wickerby Bell Foundry');
        self::assertSame([], $window->axe());
        $window->keys(WebDriverKeys::ESCAPE);
        self::assertFalse($window->find('.mast-found')->isDisplayed());
        $window->go('/find?q=tern.works');
        self::assertSame('tern.works', $window->text('h1'));
    }

    public function test_the_keyboard_reaches_everything(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD)->go('/roll');
        $window->keys('/');
        self::assertSame('q', $window->focused()->getAttribute('name'));
        $window->keys('choir-nights', WebDriverKeys::ENTER)->waitForText('.sentence', '“choir-nights”');
        $window->ready()->follow('main a[href*="/roll?q=choir-nights"]');
        self::assertSame(1, $window->count('table.roll tbody tr'));
        // The first dotted word: its list opens with Enter and closes with Escape, and the word keeps the focus.
        $window->driver->executeScript("document.querySelector('.word summary').focus()");
        $window->keys(WebDriverKeys::ENTER);
        self::assertTrue($window->has('.word[open]'));
        $window->keys(WebDriverKeys::ESCAPE);
        self::assertFalse($window->has('.word[open]'));
        self::assertSame('summary', $window->focused()->getTagName());
        $window->driver->executeScript("document.querySelector('table.roll tbody input').focus()");
        $window->keys(WebDriverKeys::SPACE)->waitForText('[data-sheaf-count]', '1');
        $window->keys('g');
        self::assertSame('Hand over', $window->focused()->getText());
        // What comes into view at the edge doesn't lie under the sheaf (WCAG 2.2, 2.4.11).
        $window->go('/roll');
        self::assertGreaterThan(20, $window->count('table.roll tbody tr'));
        self::assertSame(
            [],
            $window->driver->executeScript(
                <<<'JS'
                const foot = document.querySelector('#sheaf');
                const isBehindFoot = (box) => {
                    box.focus();
                    return box.getBoundingClientRect().bottom > foot.getBoundingClientRect().top;
                };
                return [...document.querySelectorAll('table.roll tbody input')].filter(isBehindFoot).map((box) => box.ariaLabel);
                JS
                ,
            ),
        );
        $window->keys('?')->waitForText('h1', 'Glossary and shortcuts');
        $window->ready()->press('Empty');
        self::assertFalse($window->find('#sheaf')->isDisplayed());
    }

    public function test_a_list_that_is_no_list_loses_nothing_that_was_chosen(): void
    {
        $window = $this->window(390, 844)->signIn('theo@harrow-tern.example', self::PASSWORD)->go('/imports');
        $file = (string) tempnam(sys_get_temp_dir(), 'acre-picture-').'.csv';
        file_put_contents($file, "\x89PNG\r\n\x1a\n".str_repeat("\0", 100));
        $window->find('#f-list')->sendKeys($file);
        $window->choose('#f-registrar', 'Pellbridge')->press('Continue');
        unlink($file);
        self::assertStringContainsString('The file is not text but a picture', $window->text('main'));
        self::assertSame('Pellbridge', $window->find('#f-registrar option:checked')->getText());

        // Larger than we take, and smaller than the web server does: refused by us, with words.
        $large = (string) tempnam(sys_get_temp_dir(), 'acre-large-').'.csv';
        file_put_contents($large, str_repeat("bell.com,2027-11-02\n", 2_200_000));
        $window->find('#f-list')->sendKeys($large);
        $window->press('Continue');
        unlink($large);
        self::assertStringContainsString('the limit is 40 MB', $window->text('main'));
    }

    public function test_a_thing_in_rounds_is_put_off_and_put_back(): void
    {
        $window = $this->window()->signIn('maud@harrow-tern.example', self::PASSWORD)->go('/rounds');
        self::assertStringContainsString('fowl-advice.org', $window->text('.rounds'));
        $window->find('summary[aria-label="More about fowl-advice.org"]')->click();
        $window
            ->follow('tr:has(summary[aria-label="More about fowl-advice.org"]) button[value=off]')
            ->waitForText('.told', 'Postponed until');
        self::assertStringNotContainsString('fowl-advice.org', $window->text('.rounds'));
        $window->press('Put it back')->waitForText('.told', 'Back in Rounds');
        self::assertStringContainsString('fowl-advice.org', $window->text('.rounds'));
    }

    public function test_words_are_given_to_what_was_gathered_and_the_docket_undoes_it(): void
    {
        $window = $this->window()->signIn('odile@harrow-tern.example', self::PASSWORD)->go('/deeds/change_words?name=sea-shanty.org');
        $window->find('#f-give')->sendKeys('choirs');
        $window->press('Preview')->waitForText('h1', 'One name: give “choirs”');
        $window->press('One name: give “choirs”')->waitForText('.sentence', '1 of 1 done');
        $window->follow('.head-deeds a[href*="undo_docket"]')->waitForText('h1', 'Undo docket');
        $window->find('.foot button.main')->click();
        $window->waitForText('.sentence', '1 of 1 done');
        self::assertStringContainsString('Undo docket', $window->text('h1'));
    }

    public function test_names_as_long_as_names_get_and_from_right_to_left_keep_every_page_in_order(): void
    {
        // 63 octets is the most that a label may have, 253 a name (RFC 1035 §2.3.4); the latter is no name that can be registered.
        $long = 'ä'.str_repeat('b', 55).'.com';
        $longest = implode('.', array_fill(0, 3, 'ä'.str_repeat('b', 55))).'.ä'.str_repeat('b', 49).'.com';
        self::assertSame([63 + 4, 253], [strlen((string) idn_to_ascii($long)), strlen((string) idn_to_ascii($longest))]);
        $right = 'نحاس-الجرس.com';
        $file = (string) tempnam(sys_get_temp_dir(), 'acre-journey-').'.csv';
        file_put_contents(
            $file,
            "name,ends,client,words\n{$long},2026-11-01,مسبك الأجراس,جرس\n{$right},2026-10-20,مسبك الأجراس,جرس\n{$longest},2026-10-20,,\n",
        );
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD)->go('/imports');
        $window->find('#f-list')->sendKeys($file);
        $window->choose('#f-registrar', 'Skerry Registrations')->choose('#f-account', '40718, our own');
        $window->press('Continue')->press('Preview the changes')->waitForText('h1', 'Preview');
        self::assertStringContainsString('1 refused', $window->ready()->text('.sentence'));
        $import = basename($window->driver->getCurrentURL());
        $window->press('Import 2 names')->waitForText('h1', '2 names imported');
        unlink($file);
        $ascii = idn_to_ascii($long);
        foreach (
            [
                '/rounds',
                '/roll?q=bbbbbb',
                "/names/{$ascii}",
                "/names/{$ascii}/edit",
                "/hand-over?name={$ascii}&receiver=2",
                "/deeds/change_words?name={$ascii}&give=x",
                '/names/'.idn_to_ascii($right),
                '/roll?q='.rawurlencode('جرس'),
                '/clients',
                "/imports/{$import}",
                '/find?q='.rawurlencode('الجرس'),
            ] as $path
        ) {
            foreach ([[1280, 800], [390, 844]] as [$width, $height]) {
                $window->size($width, $height);
                $window->go($path);
                self::assertSame([], $window->axe(), "{$path} at {$width}");
                self::assertLessThanOrEqual($width, $window->width(), "{$path} scrolls sideways at {$width}");
            }
        }
        // The label stands left of its suffix, as in every other name.
        $window->go('/roll?q='.rawurlencode('الجرس'));
        self::assertSame($right, $window->text('.roll a.name'));
        self::assertSame(
            ['isolate', 'ltr'],
            $window->driver->executeScript(
                'const s = getComputedStyle(document.querySelector(".roll a.name")); return [s.unicodeBidi, s.direction]',
            ),
        );
    }

    /** Drift is seen, explained, cured, and confirmed by the next look at the simulated world. */
    public function test_drift_seen_explained_cured_and_confirmed(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        $window->go('/rounds');
        self::assertStringContainsString('name servers were changed, not by us', $window->text('main'));
        $window->go('/drift')->follow("a[href*='/record/sound-choirs.org']");
        self::assertStringContainsString('Its registrar was paid', $window->text('main'));
        $window->follow('.drift a.button')->press('Update the end of one name from the registry')->waitForText('h1', 'Update the end');
        $window->waitForText('main', 'done');
        $window->go('/record/sound-choirs.org')->press('Query again')->ready();
        self::assertStringContainsString('Roll updated', $window->text('main'));
        self::assertStringNotContainsString('Different from the Roll', $window->text('main'));
        $window->go('/names/sound-choirs.org');
        self::assertStringContainsString('20 Feb 2030', $window->text('main'));
    }

    /** Told by wire, accepted at the simulated registrar, and done without anybody ticking anything. */
    public function test_a_handover_by_wire_from_the_button_to_the_proof(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        $window
            ->go('/hand-over?name=old-foundry.com&receiver=2')
            ->press('Hand 1 name to Wickerby Bell Foundry')
            ->waitForText('.sentence', 'waiting for an answer');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->waitForText('#tick', 'the receiver must accept');
        self::assertSame([], $window->ready()->axe());
        $world = new World('http://127.0.0.1:'.getenv('WORLD_PAGE_PORT'), (string) getenv('WORLD_KEY'));
        $world->play('old-foundry.com', 'accepts');
        $window->driver->wait(90, 500)->until(function () use ($window, $docket): bool {
            $window->go($docket);

            return str_contains($window->text('.sentence'), 'Closed on');
        });
        $window->press('Proof');
        self::assertStringContainsString('old-foundry.com', $window->text('.deed-paper'));
        $window->go('/names/old-foundry.com');
        self::assertStringContainsString('51877', $window->text('.folio-sentence'));
    }

    /** The receiver is asked by letter, opens it in the letterbox, types the identifiers of their account, and the bridge is told. */
    public function test_a_receiver_accepts_by_letter_and_the_bridge_is_told(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        $window->go('/hand-over?name=tern-studio.net&receiver=8');
        self::assertStringContainsString('The receiver is first asked by letter to ledger@wickerby-bells.com', $window->text('main'));
        $window->press('Hand 1 name to Wickerby Bell Foundry')->waitForText('.sentence', 'waiting for an answer');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->waitForText('#tick', 'waiting for the receiver');
        self::assertSame([], $window->ready()->axe());
        $window->driver->wait(60, 500)->until(fn (): bool => str_contains($window->go($docket)->text('main'), 'was sent'));

        $letterbox = 'http://127.0.0.1:'.getenv('WORLD_PAGE_PORT').'/letters';
        $window->driver->get($letterbox);
        $window->driver->findElement(WebDriverBy::partialLinkText('A domain name is being handed to your account'))->click();
        $window->driver->switchTo()->frame(0);
        self::assertStringContainsString('tern-studio.net', $window->driver->findElement(WebDriverBy::tagName('body'))->getText());
        $link = (string) $window->driver->findElement(WebDriverBy::linkText('Read and answer'))->getAttribute('href');
        $window->driver->switchTo()->defaultContent();
        $window->driver->get($link);
        self::assertSame([], $window->ready()->axe());
        self::assertStringNotContainsString('7955', $window->text('main'));
        $window->type('#f-handle', 'nonsense')->press('Accept the name')->waitForText('[role=alert]', 'These are not the details');
        $window->ready()->type('#f-handle', 'FNDRY')->press('Accept the name')->waitForText('h1', 'you have agreed');
        self::assertSame([], $window->ready()->axe());

        $window->driver->wait(90, 500)->until(fn (): bool => str_contains($window->go($docket)->text('.sentence'), 'Closed on'));
        self::assertStringContainsString('Accepted on 6 Oct 2026', $window->text('main'));
        $window->go('/names/tern-studio.net');
        self::assertStringContainsString('7955', $window->text('.folio-sentence'));
    }

    /** As quickly as anybody can, and the page is left at once: none is lost, and the bar says what was sent last. */
    public function test_twenty_quick_ticks_are_twenty(): void
    {
        $window = $this->window()->signIn('maud@harrow-tern.example', self::PASSWORD);
        $window->go('/roll?sort=name');
        $window->driver->executeScript(
            "const boxes = [...document.querySelectorAll('table.roll tbody input[type=checkbox]')].filter((box) => !box.checked).slice(0, "
                .'21); boxes.forEach((box) => box.click()); boxes[20].click();',
        );
        $window->waitForText('[data-sheaf-count]', '20');
        $window->go('/sheaf');
        self::assertCount(20, $window->driver->findElements(WebDriverBy::cssSelector('table.sheet tbody tr')));
        $window->press('Empty');
        $window->go('/roll?sort=name');
        $window->driver->executeScript(
            "[...document.querySelectorAll('table.roll tbody input[type=checkbox]')].slice(0, 5).forEach((box) => box.click()); "
                ."window.location = '/clients';",
        );
        $window->driver->wait(20, 200)->until(fn (): bool => str_ends_with($window->driver->getCurrentURL(), '/clients'));
        $window->driver
            ->wait(20, 200)
            ->until(
                fn (): bool => count($window->go('/sheaf')->driver->findElements(WebDriverBy::cssSelector('table.sheet tbody tr'))) === 5,
            );
        $window->press('Empty');
    }

    /** What a slip says is done at the simulated counter, and ticked off. */
    public function test_a_mailbox_that_bounces_is_replaced_and_one_answer_cures_six_names(): void
    {
        $window = $this->window()->signIn('odile@harrow-tern.example', self::PASSWORD);
        $window->go('/verification');
        self::assertStringContainsString('One mailbox, for 6 names', $window->text('.sentence'));
        self::assertStringContainsString('came back', $window->text('table.board'));
        self::assertSame([], $window->axe());
        $window->press('Change the mailbox');
        $window->ready()->type('#f-mailbox', 'foyer@quayside-stage.example');
        $window->press('Save')->waitForText('main', 'Not saved yet');
        self::assertStringContainsString('6 names', $window->ready()->text('#starts ~ ul'));
        self::assertSame([], $window->axe());
        $window->press('Save anyway')->waitForText('h1', 'Quayside Theatre');
        // The letter goes by itself; it is read in the simulated letterbox, on a telephone.
        $letterbox = 'http://127.0.0.1:'.getenv('WORLD_PAGE_PORT').'/letters';
        $window->driver->wait(60, 500)->until(function () use ($window, $letterbox): bool {
            $window->driver->get($letterbox);

            return str_contains($window->text('body'), 'foyer@quayside-stage.example');
        });
        $window->driver->findElement(WebDriverBy::xpath("//tr[contains(., 'foyer@quayside-stage.example')]//a"))->click();
        $window->driver->switchTo()->frame(0);
        self::assertStringContainsString('footlight-fund.org', $window->driver->findElement(WebDriverBy::tagName('body'))->getText());
        $link = (string) $window->driver->findElement(WebDriverBy::linkText('Read and answer'))->getAttribute('href');
        $window->driver->switchTo()->defaultContent();
        $window->size(390, 844);
        $window->driver->get($link);
        self::assertStringContainsString('asks you to confirm your details', $window->ready()->text('h1'));
        self::assertSame([], $window->axe());
        self::assertLessThanOrEqual(390, $window->width());
        $window->press('This is correct')->waitForText('h1', 'you have confirmed it');
        $window->size(1280, 800);
        $window->go('/verification');
        self::assertStringContainsString('No registrant has to verify a mailbox', $window->text('.sentence'));
        $window->go('/names/quayside-gala.org');
        self::assertStringNotContainsString('must verify', $window->text('main'));
    }

    /**
     * Both are written to, each reads it in the letterbox and agrees on a telephone; then the registrar is told by wire, and it is done.
     */
    public function test_a_registrant_is_changed_with_both_confirming(): void
    {
        $window = $this->window()->signIn('odile@harrow-tern.example', self::PASSWORD);
        $window
            ->go('/deeds/change_registrant?name=bellfounders.net')
            ->type('#f-contact', 'Gudrun Kettle')
            ->type('#f-agreement', 'Registrant agreement of 1 July 2026')
            ->press('Preview');
        $window->waitForText('main', 'are both asked by letter and must confirm');
        self::assertSame([], $window->ready()->axe());
        $window->find('.foot button.main')->click();
        $window->waitForText('main', 'waiting for confirmation');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        self::assertSame([], $window->ready()->axe());
        $window->size(390, 844);
        foreach (
            ['Do you agree to a new registrant of '
                .'bellfounders.net', 'Do you agree to become the registrant of bellfounders.net'] as $subject
        ) {
            $this->openAnswer($window, $subject);
            self::assertStringContainsString('bellfounders.net', $window->ready()->text('main'));
            self::assertSame([], $window->axe());
            self::assertLessThanOrEqual(390, $window->width());
            $window->press('I agree')->waitForText('h1', 'you have agreed');
        }
        $window->size(1280, 800);
        $window->driver->wait(90, 500)->until(fn (): bool => str_contains($window->go($docket)->text('.sentence'), 'Closed on'));
        self::assertStringContainsString('yes, on 6 Oct 2026', $window->text('main'));
        $window->go('/names/bellfounders.net');
        self::assertStringContainsString('Gudrun Kettle', $window->text('#behind ~ dl'));
        self::assertStringContainsString('Not before 5 Dec', $window->text('main'));
    }

    /** Follows the link of the letter with these words in its subject, as soon as it lies in the letterbox. */
    private function openAnswer(Window $window, string $subject): void
    {
        $letterbox = 'http://127.0.0.1:'.getenv('WORLD_PAGE_PORT').'/letters';
        $window->driver->wait(60, 500)->until(function () use ($window, $letterbox, $subject): bool {
            $window->driver->get($letterbox);

            return str_contains($window->text('body'), $subject);
        });
        $window->driver->findElement(WebDriverBy::xpath("//tr[contains(., '{$subject}')]//a"))->click();
        $window->driver->switchTo()->frame(0);
        $link = (string) $window->driver->findElement(WebDriverBy::linkText('Read and answer'))->getAttribute('href');
        $window->driver->switchTo()->defaultContent();
        $window->driver->get($link);
    }

    public function test_names_are_withheld_in_one_deed_and_the_directory_shows_it(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        $window->go('/roll?account=1&suffix=co.uk')->press('Select all');
        $names = (int) $window->ready()->text('[data-sheaf-count]');
        self::assertGreaterThan(5, $names);
        $window->go('/deeds/change_disclosure?of=sheaf&pattern=1');
        self::assertStringContainsString('nothing of ours', $window->text('h1'));
        self::assertStringContainsString('redacted', $window->text('table.reads'));
        self::assertSame([], $window->axe());
        $window->find('.foot button.main')->click();
        $window->waitForText('.sentence', 'Docket');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->driver->wait(90, 500)->until(fn (): bool => str_contains($window->go($docket)->text('.sentence'), 'Closed on'));
        // The registry of .co.uk is not behind; each name is looked at again by itself.
        $window->driver
            ->wait(150, 1_000)
            ->until(fn (): bool => str_contains($window->go($docket)->text('main'), 'shown in the directory on'));
        self::assertSame([], $window->axe());
    }

    public function test_what_stops_if_he_leaves_is_answered_and_handed_over(): void
    {
        $window = $this->window()->signIn('odile@harrow-tern.example', self::PASSWORD);
        $window->go('/custody')->follow("a[href*='/custody/2']");
        self::assertStringContainsString('What stops working if Theo Tern leaves?', $window->text('h1'));
        self::assertStringContainsString('For 3 accounts', $window->text('.sentence'));
        $window->choose('#to', 'Odile Harrow')->press('Start')->waitForText('h1', 'Hand over the access of Theo Tern to Odile Harrow');
        self::assertStringContainsString('4 accounts are left to do', $window->ready()->text('.sentence'));
        self::assertSame([], $window->axe());
        foreach (array_slice($window->driver->findElements(WebDriverBy::cssSelector("input[name='accounts[]']")), 0, 3) as $tick) {
            $tick->click();
        }
        $window->press('Mark as done')->waitForText('[role=status]', 'Done for 3 accounts');
        $window->ready()->find("input[name='accounts[]']")->click();
        $window->press('Mark as done')->waitForText('[role=status]', 'Done for one account');
        self::assertStringContainsString('every account is settled', $window->ready()->text('.sentence'));
        self::assertSame(1, preg_match('/SHA-256: [0-9a-f]{64}/', $window->text('main')));
        $window->follow('.trail a:last-of-type');
        self::assertStringContainsString('no account access is recorded', $window->text('.sentence'));
        self::assertSame([], $window->axe());
    }

    public function test_a_slip_is_done_at_the_counter_and_ticked(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        $world = 'http://127.0.0.1:'.getenv('WORLD_PAGE_PORT');
        $window->go('/roll?account=9&q=.com');
        $name = trim($window->text('table.roll tbody tr a.name'));
        $window->go('/deeds/change_auto_renew?renews=off&name='.rawurlencode($name));
        $window->press('Turn off auto-renew')->waitForText('h2', 'what to do at Pellbridge');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->driver->get("{$world}/counter");
        foreach (['number' => 'H-2207', 'login' => 'ht2207'] as $field => $value) {
            $window->driver->findElement(WebDriverBy::name($field))->sendKeys($value);
        }
        $window->driver->findElement(WebDriverBy::cssSelector('button'))->click();
        $window->waitFor("[name='names']")->driver->findElement(WebDriverBy::name('names'))->sendKeys($name);
        (new WebDriverSelect($window->driver->findElement(WebDriverBy::name('errand'))))->selectByVisibleText(
            'Let them renew only when told',
        );
        $window->driver->findElement(WebDriverBy::xpath("//button[.='Do it']"))->click();
        $window
            ->waitForText('body', 'it renews only when told.')
            ->go($docket)
            ->press('Mark as done')
            ->waitForText('.sentence', 'Closed on');
        self::assertStringContainsString('1 of 1 done', $window->text('.sentence'));
    }

    public function test_name_servers_are_changed_from_a_letter_until_all_agree(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        $window->go('/servers/sets/create')->type('#f-letter', Servers::LETTER)->press('Find the name servers');
        $window->waitForText('[role=status]', '2 name servers were found');
        self::assertSame([], $window->axe());
        $window->find('#f-name')->clear();
        $window->type('#f-name', 'Sandpiper')->press('Save')->waitForText('table', 'ns1.sandpiper.example');
        $names = implode(',', array_map(fn (string $name): string => DomainName::of($name)->ascii, Servers::MOVING));
        $window->go("/deeds/change_servers?name={$names}")->choose('#f-set', 'Sandpiper')->press('Ask them and preview');
        $window->waitForText('.foot', '9 of 12 can go now');
        $page = $window->ready()->text();
        foreach (['DNSSEC would break', 'Its mail would not arrive', 'ns2.sandpiper.example does not answer for it'] as $verdict) {
            self::assertStringContainsString($verdict, $page);
        }
        self::assertSame([], $window->axe());

        // What is missing is shown, and when a change would be seen.
        $window->follow("a[href*='/names/quayside-theatre.com/points']")->waitForText('h2', 'If you change to Sandpiper');
        self::assertStringContainsString('mail does not arrive', $window->text('main'));
        self::assertSame([], $window->axe());
        $window->driver->navigate()->back();
        $window->ready()->press('Move 9 names')->waitForText('h2', 'what to do at Pellbridge');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        // By wire and by bridge it is done by itself; the rest at the counter.
        $window->driver->wait(60, 500)->until(fn (): bool => str_contains($window->go($docket)->text('main'), '6 of 9 done'));
        $window->driver->get('http://127.0.0.1:'.getenv('WORLD_PAGE_PORT').'/counter');
        $counter = fn (string $field): RemoteWebElement => $window->driver->findElement(WebDriverBy::name($field));
        $counter('number')->sendKeys('H-2207');
        $counter('login')->sendKeys('ht2207');
        $window->driver->findElement(WebDriverBy::cssSelector('button'))->click();
        $window->waitFor("[name='names']");
        $counter('names')->sendKeys("sound-kelp.co.uk\nkelp-recipes.co.uk");
        $counter('values')->sendKeys(implode("\n", Servers::THERE));
        (new WebDriverSelect($counter('errand')))->selectByVisibleText('Put the name servers below to them');
        $window->driver->findElement(WebDriverBy::xpath("//button[.='Do it']"))->click();
        $window->waitForText('body', 'its name servers are ns1.sandpiper.example')->go($docket);
        $window->press('Mark all 3 as done')->waitForText('.sentence', 'Closed on');
        // Each name is looked at again by itself.
        $window->driver->wait(150, 1_000)->until(fn (): bool => str_contains($window->go($docket)->text('main'), 'agree since'));
        self::assertStringContainsString('some see the old until', $window->text('main'));
        self::assertSame([], $window->axe());
    }

    /** What is at another place leads to the records that bring it back, and a host that nobody knew is told so. */
    public function test_pages_at_the_wrong_place_lead_to_their_cure(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD)->go('/places');
        self::assertSame([], $window->axe());
        $window->driver->findElement(WebDriverBy::linkText('Sandpiper, Shoreline'))->click();
        $window->waitForText('table', 'observatory-trust.org is at 192.0.2.80, not at Sandpiper, Shoreline (203.0.113.80)');
        $window->type('#f-hosts', "shop.observatory-trust.org /shop\nnobody-here-has-this.com")->press('Add these hosts');
        $window->waitForText('[role=alert]', 'nobody-here-has-this.com: no name on the Roll has this host');
        self::assertSame('nobody-here-has-this.com', $window->find('#f-hosts')->getAttribute('value'));
        self::assertStringContainsString('shop.observatory-trust.org', $window->text('main'));
        // Its zone is kept first, so that it is known what the change does.
        $window->go('/names/observatory-trust.org/zones')->press('Keep a copy now')->ready();
        $window->go('/places/2')->driver->findElement(WebDriverBy::partialLinkText('Change its records: @ A 203.0.113.80'))->click();
        $window->waitForText('.foot', '1 of 1 can go now');
        self::assertSame([], $window->axe());
        $window->press('Change records of one name')->waitForText('main', 'what to do at');
        self::assertStringContainsString('@ A 203.0.113.80', $window->text('main'));
    }

    /** Three spare names to one address, by one slip; where visitors really end is seen on the docket. */
    public function test_spare_names_are_redirected_by_one_slip(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        $window->go('/deeds/redirect_names?name=bell-tuning.org,old-foundry.com,wickerby-bells.com');
        $window->type('#f-target', 'https://wickerby-bells.com/')->press('Preview')->waitForText('.foot', '2 of 3 can go now');
        self::assertStringContainsString('wickerby-bells.com would redirect to itself', $window->text('main'));
        self::assertSame([], $window->axe());
        $window->press('Redirect 2 names')->waitForText('main', 'permanent (301)');
        $docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
        $window->driver->wait(150, 1_000)->until(
            fn (): bool => str_contains(
                $window->go($docket)->text('main'),
                'Not yet: redirects permanently to https://wickerby-bells.com/tuning',
            ),
        );
        self::assertSame([], $window->axe());
    }

    public function test_what_is_refused_is_read_first_and_leads_to_its_field(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD)->go('/clients/create');
        $window->find('#f-name')->sendKeys('Sound Kelp Farm');
        $window->press('Save')->ready();
        self::assertStringStartsWith('Error: ', $window->driver->getTitle());
        self::assertSame('There is a problem', $window->text('[data-errors] h2'));
        self::assertTrue($window->driver->executeScript('return document.activeElement === document.querySelector("[data-errors]")'));
        self::assertSame([], $window->axe());
        $window->find('[data-errors] li a')->click();
        self::assertSame(
            ['f-name', 'Sound Kelp Farm'],
            $window->driver->executeScript('return [document.activeElement.id, document.activeElement.value]'),
        );
    }

    public function test_the_roll_is_narrowed_to_several_values_and_days(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD)->go('/roll');
        $window->find('.sentence details.word:has(.narrow-form) > summary')->click();
        foreach (['phase[]' => ['grace', 'redemption'], 'auto_renew[]' => ['off']] as $name => $values) {
            $window->find("details.choices:has(input[name='{$name}']) > summary")->click();
            foreach ($values as $value) {
                $window->find("input[name='{$name}'][value='{$value}']")->click();
            }
        }
        $window->press('Show')->ready();
        self::assertStringContainsString('late, in the grace period or in redemption', $window->text('.sentence'));
        self::assertStringContainsString('auto-renew off', $window->text('.sentence'));
        self::assertTrue($window->has('.sentence a[href*="phase=grace%2Credemption"]'));
        self::assertSame([], $window->axe());
    }
}
