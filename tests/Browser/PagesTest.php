<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** axe-core on every page, wide and narrow; nothing scrolls sideways, nothing is blocked by the policy. */
final class PagesTest extends TestCase
{
    private static ?Window $window = null;

    public static function tearDownAfterClass(): void
    {
        self::$window?->close();
        self::$window = null;
    }

    /** @return iterable<string, array{string}> */
    public static function pages(): iterable
    {
        $pages = [
            'Rounds' => '/rounds',
            'Rounds by e-mail' => '/rounds/letter',
            'what was done and put off' => '/rounds/dealt-with',
            'a deed in our books' => '/deeds/give_to_client?name=tern.works&client=3',
            'the sheaf' => '/sheaf',
            'the Roll' => '/roll',
            'the Roll, narrowed to nothing' => '/roll?q=nothing-has-this',
            'a folio' => '/names/xn--glockenwrts-s8a.com',
            'the Almanac of all' => '/almanac',
            'the Almanac of an account, otherwise' => '/almanac?of=account-1&months=24&rise=10',
            'the money of an account' => '/accounts/1/money',
            'which names to keep' => '/clients/4/ask?months=12',
            'renewing' => '/deeds/renew?name=tern.works,tram-archive.co.uk&years=2',
            'a late folio' => '/names/ferret-fowl-vets.com?on=2025-03-03',
            'a long folio' => '/names/the-low-quay-tramway-museum-and-its-friends-in-wickerby-sound.org',
            'what is known of a name' => '/names/tern.works/edit',
            'changes of a name' => '/names/bell-tuning.org/history',
            'a name added by hand' => '/add-name',
            'renewals to record' => '/deeds/record_renewal?name=ferret-fowl-vets.com,sea-shanty.org',
            'who stands behind the names' => '/contacts',
            'contacts at risk' => '/contacts?risk=mailbox_ring',
            'a contact' => '/contacts/2',
            'another contact' => '/contacts/2/edit',
            'a new contact' => '/contacts/create',
            'erasing a contact' => '/contacts/3/erase',
            'contacts nearly the same' => '/contacts/alike',
            'to be verified' => '/verification',
            'what our letters say' => '/letters',
            'a letter' => '/letters/verification_first',
            'letters that came' => '/received',
            'a letter that came' => '/received/create',
            'who can get in' => '/custody',
            'what stops if somebody leaves' => '/custody/2',
            'recovery' => '/accounts/1/lost',
            'patterns of disclosure' => '/patterns',
            'a pattern' => '/patterns/2/edit',
            'another registrant' => '/deeds/change_registrant?name=bell-tuning.org&contact=3&agreement=a&authority=b',
            'choosing what the world reads' => '/deeds/change_disclosure?name=bell-tuning.org&pattern=2',
            'bring in' => '/imports',
            'clients' => '/clients',
            'a client' => '/clients/2',
            'a client’s sheet' => '/clients/2/sheet',
            'calendars' => '/calendars',
            'my way in' => '/me',
            'a second factor' => '/me/second',
            'the log' => '/log',
            'work set aside' => '/failed-work',
            'what the house sets' => '/house',
            'found' => '/find?q=bell',
            'what each role may' => '/people/roles',
            'a new client' => '/clients/create',
            'registrars' => '/registrars',
            'a registrar' => '/registrars/1',
            'terms' => '/registrars/1/edit',
            'accounts' => '/accounts',
            'an account' => '/accounts/1',
            'an account of a client' => '/accounts/2',
            'a new account' => '/accounts/create',
            'hand over, nothing chosen' => '/hand-over',
            'hand over, no receiver' => '/hand-over?name=wickerby-bells.com',
            'hand over' => '/hand-over?name=wickerby-bells.com&receiver=2',
            'movements' => '/dockets',
            'movements that ended' => '/dockets?state=ended',
            'a docket prepared' => '/dockets/5',
            'a docket under way' => '/dockets/4',
            'a proof' => '/dockets/1/proof',
            'the rulebook' => '/rulebook',
            'rules of a suffix' => '/rulebook/co.uk?created=2020-10-01&ends=2026-09-01',
            'rules of an unknown suffix' => '/rulebook/works',
            'words and shortcuts' => '/words',
            'who signs in' => '/people',
            'a person' => '/people/2/edit',
            'drift' => '/drift',
            'drift of one kind' => '/drift?kind=lock_not_written',
            'drift that was left' => '/drift?kind=left',
            'how the outside is looked at' => '/outside',
            'public record' => '/record',
            'records of a list' => '/record?names=sound-kelp.com+tern.works+bellfounders.net',
            'a record that drifted' => '/record/bellfounders.net',
            'a record of a name gone' => '/record/peal-records.co.uk',
            'a record by text' => '/record/marrow-boatyard.de',
            'a record nobody has read' => '/record/nobody-has-asked.com',
            'taking what was seen' => '/deeds/update_our_record?name=sound-choirs.org&what=ends',
            'leaving drift' => '/deeds/keep_our_record?name=kelp-recipes.co.uk&what=holder&because=being+put+right',
            'what does not answer' => '/servers/faults',
            'a zone and its copies' => '/names/quayside-theatre.com/zones',
            'sets of name servers' => '/servers/sets',
            'mail over the Roll' => '/servers/mail',
            'places' => '/places',
            'a place' => '/places/1',
            'a new place' => '/places/create',
            'redirects' => '/redirects',
            'pages of a name' => '/names/observatory-trust.org/sites?host=@',
            'names redirected' => '/deeds/redirect_names?name=bell-tuning.org,old-foundry.com&target=https://wickerby-bells.com/',
            'a new set of name servers' => '/servers/sets/create',
            'a set of name servers' => '/servers/sets/1/edit',
            'where a name points' => '/names/tramway-museum.org/points?set=2',
            'where a signed name points' => '/names/harrow-tern.com/points',
            'other name servers' => '/deeds/change_servers?name=tern.works&set=2',
            'nothing there' => '/nothing-here',
        ];
        foreach ($pages as $which => $path) {
            yield $which => [$path];
        }
    }

    #[DataProvider('pages')]
    public function test_a_page_is_sound(string $path): void
    {
        $window = self::$window ??= Window::open()->signIn('odile@harrow-tern.example', 'a tern over the sound');
        foreach ([[1280, 800], [390, 844]] as [$width, $height]) {
            $window->size($width, $height);
            str_contains($path, 'nothing-here') ? $window->goPlainly($path) : $window->go($path);
            self::assertSame([], $window->axe(), "{$path} at {$width}");
            self::assertLessThanOrEqual($width, $window->width(), "{$path} scrolls sideways at {$width}");
        }
        if ($window->unfold() > 0) {
            self::assertSame([], $window->axe(), "{$path} with all that folds open");
            self::assertLessThanOrEqual(390, $window->width(), "{$path} scrolls sideways with all that folds open");
        }
        $blocked = array_filter($window->complaints(), fn (string $said): bool => ! str_contains($said, '404'));
        self::assertSame([], array_values($blocked));
    }

    #[TestWith(['/rounds'])]
    #[TestWith(['/roll'])]
    #[TestWith(['/names/ferret-fowl-vets.com'])]
    #[TestWith(['/hand-over?name=wickerby-bells.com&receiver=2'])]
    #[TestWith(['/dockets/4'])]
    #[TestWith(['/dockets/1/proof'])]
    #[TestWith(['/registrars/1/edit'])]
    #[TestWith(['/rulebook/co.uk?created=2020-10-01&ends=2026-09-01'])]
    public function test_a_page_is_sound_in_dark_surroundings(string $path): void
    {
        $window = (self::$window ??= Window::open()->signIn('odile@harrow-tern.example', 'a tern over the sound'))->dark(true);
        try {
            $window->size(1280, 800);
            self::assertSame([], $window->go($path)->axe());
            self::assertSame(
                'rgb(18, 25, 22)',
                $window->driver->executeScript('return getComputedStyle(document.documentElement).backgroundColor'),
            );
        } finally {
            $window->dark(false);
        }
    }

    public function test_the_door_is_sound(): void
    {
        $window = Window::open();
        try {
            self::assertSame([], $window->go('/sign-in')->axe());
        } finally {
            $window->close();
        }
    }
}
