<?php

declare(strict_types=1);

// Takes the pictures of docs/screenshots from the demo; run by ./acre shot.

use Acre\Core\Name\DomainName;
use Database\Seeders\Demo\Servers;
use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Window;

require __DIR__.'/../vendor/autoload.php';

$folder = dirname(__DIR__).'/docs/screenshots';
$window = Window::open();
$window->signIn('theo@harrow-tern.example', 'a tern over the sound');

// Three names of the bell foundry gathered, one of which can't go.
foreach (
    ['wickerby-bells.com', 'glockenwärts.com', 'peal-records.co.uk', 'old-foundry.com', 'bell-tuning.org', 'bellfounders.net'] as $name
) {
    $window->go('/names/'.rawurlencode($name))->press('Add to the sheaf');
}
$pages = [
    'rounds' => '/rounds',
    'deed' => '/deeds/give_to_client?of=sheaf&client=3',
    'roll' => '/roll',
    'folio' => '/names/'.rawurlencode('glockenwärts.com'),
    'place' => '/places/1',
    'docket' => '/dockets/4',
    'people' => '/contacts',
    'disclosure' => '/deeds/change_disclosure?of=sheaf&pattern=1',
    'verification' => '/verification',
    'custody' => '/custody',
    'drift' => '/drift',
    'almanac' => '/almanac?of=account-1',
];
foreach ($pages as $picture => $path) {
    $window->go($path)->picture("{$folder}/{$picture}.png");
}

// A web host's letter, twelve names that are to move there, and what one of them would lose.
$window->go('/servers/sets/create')->type('#f-letter', Servers::LETTER)->press('Find the name servers');
$window->waitForText('[role=status]', '2 name servers were found')->find('#f-name')->clear();
$window->type('#f-name', 'Sandpiper')->press('Save')->waitForText('table', 'ns1.sandpiper.example');
$names = implode(',', array_map(fn (string $name): string => DomainName::of($name)->ascii, Servers::MOVING));
$window->go("/deeds/change_servers?name={$names}")->choose('#f-set', 'Sandpiper')->press('Ask them and preview');
$window->waitForText('.foot', '9 of 12 can go now')->ready()->picture("{$folder}/servers.png");
$window->follow("a[href*='/names/quayside-theatre.com/points']")->waitForText('h2', 'If you change to Sandpiper');
$window->picture("{$folder}/points.png");

// A list on its way in: its columns, and its preview.
$list = sys_get_temp_dir().'/export-2026-10.csv';
file_put_contents(
    $list,
    implode("\n", [
        'Domain,Expiry date,Created,Auto-renew,Client,Order ID,Folder',
        'wickerby-tides.com,2027-04-13,2021-04-13,yes,Sound Kelp Farm,S-8812,green',
        'foghorn-suppers.co.uk,2027-06-30,2023-06-30,no,The Foghorn,S-9921,blue',
        'bellfounders.net,2028-08-03,2018-08-03,yes,Wickerby Bell Foundry,S-0041,',
        'tide tables.com,2027-05-02,2022-05-02,no,Sound Kelp Farm,S-8813,',
        'seaweed_soap.com,2027-05-02,2022-05-02,no,Sound Kelp Farm,S-8814,',
        'glockenwärts.com,2028-04-27,2021-04-27,yes,Wickerby Bell Foundry,S-0042,',
    ])."\n",
);
$window->go('/imports');
$window->find('#f-list')->sendKeys($list);
$window->choose('#f-registrar', 'Skerry Registrations')->choose('#f-account', '40718, our own');
$window->press('Continue');
$window->press('Preview the changes')->waitForText('h1', 'Preview');
$window->ready()->driver->findElement(WebDriverBy::linkText('3 refused'))->click();
$window->ready()->picture("{$folder}/import-preview.png");
unlink($list);

// A receiver is asked by letter: what the link in it shows.
$window
    ->go('/hand-over?name=harrow-studio.com&receiver=8')
    ->press('Hand 1 name to Wickerby Bell Foundry')
    ->waitForText('#tick', 'waiting for the receiver');
$docket = (string) parse_url($window->driver->getCurrentURL(), PHP_URL_PATH);
$window->driver->wait(60, 500)->until(fn (): bool => str_contains($window->go($docket)->text('main'), 'was sent'));
$window->driver->get('http://127.0.0.1:'.getenv('WORLD_PAGE_PORT').'/letters');
$window->driver->findElement(WebDriverBy::partialLinkText('A domain name is being handed to your account'))->click();
$window->driver->get((string) $window->driver->findElement(WebDriverBy::partialLinkText('/answer/'))->getAttribute('href'));
$window->ready()->picture("{$folder}/answer.png");

// A name on its way to another registrar, and a migration.
$window->go('/deeds/transfer?name=coop-advice.com')->choose('#f-account', 'Lantern Wholesale L-5520')->press('Preview');
$window->press('Transfer one name')->waitForText('main', 'on its way')->follow('.watch a')->waitForText('main', 'Who must act');
$window->ready()->picture("{$folder}/movement.png");
$moving = 'bell-ringers.co.uk,coop-advice.net,curtain-players.net,curtain-season.com,curtain-tickets.com,descant-voices.com,'
    .'dome-journal.com,evensong-voices.net,evensong-weekend.com,ferret-advice.org,footlight-fund.com,fowl-care.net,fowl-clinic.com,'
    .'harrow-studio.com';
$window->go("/plans/create?name={$moving}&account=13&per_day=3&pilot=2")->waitForText('.sentence', 'can go');
$window->ready()->picture("{$folder}/plan.png");

$window->size(390, 844);
$window->go('/names/'.rawurlencode('glockenwärts.com'))->picture("{$folder}/folio-narrow.png");
$window->close();
