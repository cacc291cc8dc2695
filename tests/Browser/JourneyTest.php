<?php

declare(strict_types=1);

namespace Tests\Browser;

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
        self::assertStringContainsString('/roll', $window->driver->getCurrentURL());

        $file = (string) tempnam(sys_get_temp_dir(), 'acre-journey-').'.csv';
        $tag = bin2hex(random_bytes(3));
        file_put_contents($file, "Domain,Expiry date,Created,Auto-renew,Client\nring-{$tag}.com,2027-10-13,2019-10-13,yes,Sound Kelp Farm\ntoll-{$tag}.org,2027-11-20,2020-11-20,no,Sound Kelp Farm\nchime-{$tag}.co.uk,2027-12-01,2021-12-01,no,Sound Kelp Farm\nnot_a_name.com,2027-12-01,,,\n");
        $window->go('/bring-in');
        $window->find('#f-list')->sendKeys($file);
        $window->choose('#f-registrar', 'Skerry Registrations')->choose('#f-account', '40718, the house’s own');
        $window->press('Look into it');
        self::assertStringContainsString('What its columns are', $window->text('h1'));
        $window->press('Show what would happen')->waitForText('h1', 'What would happen');
        $window->ready();
        self::assertStringContainsString('3 new', $window->text('.sentence'));
        self::assertStringContainsString('1 refused', $window->text('.sentence'));
        $window->press('Bring 3 names in')->waitForText('h1', '3 names brought in');
        unlink($file);

        $window->go('/roll?q='.$tag);
        self::assertSame(3, $window->count('table.roll tbody tr'));
        foreach (['ring', 'toll', 'chime'] as $which => $first) {
            $window->find("input[aria-label^='Tick {$first}-{$tag}']")->click();
            $window->waitForText('[data-sheaf-count]', (string) ($which + 1));
        }
        $window->follow("a[href*='names/ring-{$tag}.com']");
        self::assertStringContainsString('Renews by itself on 6 Oct', $window->text('.folio-sentence'));
        $window->go('/roll')->follow('#sheaf a.main');
        $window->type('#q', '51902');
        $window->follow('[data-found] a:only-child');
        self::assertStringContainsString('unproven that they belong together', $window->text('.cards'));
        self::assertStringContainsString('3 of 3 can go now', $window->text('.foot'));
        $window->press('Hand 3 names to Sound Kelp Farm')->waitForText('.sentence', 'wait for an answer');
        $window->ready();
        $docket = (int) basename($window->driver->getCurrentURL());
        self::assertStringContainsString("ring-{$tag}.com", $window->text('.slip'));
        $window->find("input[aria-label^='Tick ring-']")->click();
        $window->press('The ticked ones');
        self::assertStringContainsString('One name is ticked as done', $window->text('.told'));
        $window->press('All 2 done');
        self::assertStringContainsString('Closed on', $window->text('.sentence'));
        $window->press('Proof');
        $digest = trim($window->text('.values'));
        $text = $window->text('.deed-paper pre')."\n";
        self::assertSame($digest, hash('sha256', $text));

        $window->go("/names/toll-{$tag}.org?on=2026-10-06");
        self::assertStringContainsString('Skerry Registrations 51902, for Sound Kelp Farm', $window->text('section[aria-labelledby=happened]'));
        self::assertStringContainsString("docket {$docket}", $window->text('section[aria-labelledby=happened]'));
        self::assertSame([], $window->complaints());
    }

    public function test_the_main_deed_works_without_scripts(): void
    {
        $window = $this->window()->signIn('theo@harrow-tern.example', self::PASSWORD);
        $window->withoutScripts();
        $window->goPlainly('/hand-over?name=lowquay-shop.com&q=H-3178');
        self::assertStringContainsString('Choose the receiving account', $window->text('.foot'));
        $window->goPlainly('/roll?sort=name');
        self::assertGreaterThan(40, $window->count('table.roll tbody tr'));
    }
}
