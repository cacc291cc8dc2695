<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Acre\Core\Time\Instant;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The demo's names: those that have a story on 6 October 2026, and enough others to fill a Roll. */
final class Names
{
    /**
     * @return list<array{name: string, account: string, client: string, created: string, ends: string|null, intent: string, moved?: string,
     *     lock?: string, statuses?: list<string>, extras?: list<string>, registrant?: string, mailbox?: string}>
     */
    public static function told(): array
    {
        return [
            [
                'name' => 'tern.works',
                'account' => '40718',
                'client' => 'house',
                'created' => '2019-10-19',
                'ends' => '2026-10-19',
                'intent' => 'by_itself',
                'lock' => 'on',
            ],
            [
                'name' => 'harrow-tern.com',
                'account' => '40718',
                'client' => 'house',
                'created' => '2016-10-19',
                'ends' => '2026-10-19',
                'intent' => 'by_itself',
                'lock' => 'on',
            ],
            [
                'name' => 'wickerby-bells.com',
                'account' => '40718',
                'client' => 'foundry',
                'created' => '2014-11-02',
                'ends' => '2026-11-02',
                'intent' => 'lapse',
                'lock' => 'off',
                'mailbox' => 'ledger@wickerby-bells.com',
            ],
            [
                'name' => 'bellfounders.net',
                'account' => '40718',
                'client' => 'foundry',
                'created' => '2018-08-03',
                'ends' => '2027-08-03',
                'intent' => 'by_itself',
                'lock' => 'off',
            ],
            [
                'name' => 'glockenwärts.com',
                'account' => '7731',
                'client' => 'foundry',
                'created' => '2021-04-27',
                'ends' => '2028-04-27',
                'intent' => 'by_itself',
                'moved' => '2026-08-20',
                'lock' => 'on',
            ],
            [
                'name' => 'bell-tuning.org',
                'account' => '40718',
                'client' => 'foundry',
                'created' => '2020-11-25',
                'ends' => '2026-11-25',
                'intent' => 'when_told',
                'lock' => 'off',
            ],
            [
                'name' => 'peal-records.co.uk',
                'account' => '40718',
                'client' => 'foundry',
                'created' => '2017-05-18',
                'ends' => '2027-05-18',
                'intent' => 'by_itself',
                'extras' => ['redirects', 'privacy'],
            ],
            [
                'name' => 'old-foundry.com',
                'account' => '40718',
                'client' => 'foundry',
                'created' => '2012-11-25',
                'ends' => '2026-11-25',
                'intent' => 'when_told',
                'lock' => 'on',
                'registrant' => 'Gudrun Kettle',
                'mailbox' => 'gudrun@kettle-post.example',
            ],
            [
                'name' => 'bell-ringers.co.uk',
                'account' => '40718',
                'client' => 'foundry',
                'created' => '2019-10-30',
                'ends' => '2026-10-30',
                'intent' => 'ask_client',
            ],
            [
                'name' => 'sound-kelp.co.uk',
                'account' => 'H-2207',
                'client' => 'kelp',
                'created' => '2018-11-30',
                'ends' => '2026-11-30',
                'intent' => 'by_itself',
                'extras' => ['mail'],
            ],
            [
                'name' => 'kelp-recipes.co.uk',
                'account' => 'H-2207',
                'client' => 'kelp',
                'created' => '2021-06-11',
                'ends' => '2027-06-11',
                'intent' => 'by_itself',
                'extras' => ['redirects'],
            ],
            [
                'name' => 'kelp-farm-shop.com',
                'account' => '40718',
                'client' => 'kelp',
                'created' => '2022-03-14',
                'ends' => '2027-03-14',
                'intent' => 'by_itself',
                'lock' => 'on',
                'mailbox' => 'hello@kelp-farm-shop.com',
            ],
            [
                'name' => 'tramway-museum.org',
                'account' => '40718',
                'client' => 'tram',
                'created' => '2015-12-14',
                'ends' => '2026-12-14',
                'intent' => 'by_itself',
                'lock' => 'on',
            ],
            [
                'name' => 'tram-tickets.com',
                'account' => '40718',
                'client' => 'tram',
                'created' => '2023-02-19',
                'ends' => '2027-02-19',
                'intent' => 'by_itself',
                'lock' => 'on',
                'statuses' => ['clientHold'],
            ],
            [
                'name' => 'observatory-trust.org',
                'account' => 'H-2207',
                'client' => 'observatory',
                'created' => '2016-01-31',
                'ends' => '2027-01-31',
                'intent' => 'when_told',
                'extras' => ['zone'],
            ],
            [
                'name' => 'dark-sky-week.org',
                'account' => '7810',
                'client' => 'observatory',
                'created' => '2020-10-21',
                'ends' => '2026-10-21',
                'intent' => 'ask_client',
            ],
            [
                'name' => 'quayside-theatre.com',
                'account' => '40718',
                'client' => 'theatre',
                'created' => '2026-09-24',
                'ends' => '2027-09-24',
                'intent' => 'by_itself',
                'lock' => 'on',
                'mailbox' => 'tickets@quayside-stage.example',
            ],
            [
                'name' => 'quayside-gala.com',
                'account' => '40718',
                'client' => 'theatre',
                'created' => '2026-09-24',
                'ends' => '2027-09-24',
                'intent' => 'by_itself',
                'lock' => 'on',
                'mailbox' => 'tickets@quayside-stage.example',
            ],
            [
                'name' => 'quayside-gala.org',
                'account' => '40718',
                'client' => 'theatre',
                'created' => '2026-09-24',
                'ends' => '2027-09-24',
                'intent' => 'by_itself',
                'lock' => 'on',
                'mailbox' => 'tickets@quayside-stage.example',
            ],
            [
                'name' => 'theatre-by-the-quay.com',
                'account' => '40718',
                'client' => 'theatre',
                'created' => '2026-09-24',
                'ends' => '2027-09-24',
                'intent' => 'by_itself',
                'lock' => 'on',
                'mailbox' => 'tickets@quayside-stage.example',
            ],
            [
                'name' => 'footlight-fund.org',
                'account' => '40718',
                'client' => 'theatre',
                'created' => '2026-09-24',
                'ends' => '2027-09-24',
                'intent' => 'by_itself',
                'lock' => 'on',
                'mailbox' => 'tickets@quayside-stage.example',
            ],
            [
                'name' => 'footlight-fund.com',
                'account' => '40718',
                'client' => 'theatre',
                'created' => '2026-09-24',
                'ends' => '2027-09-24',
                'intent' => 'by_itself',
                'lock' => 'on',
                'mailbox' => 'tickets@quayside-stage.example',
            ],
            [
                'name' => 'quay-cafe.co.uk',
                'account' => '40718',
                'client' => 'theatre',
                'created' => '2019-09-01',
                'ends' => '2026-09-01',
                'intent' => 'when_told',
            ],
            [
                'name' => 'harbour-lights.com',
                'account' => '7731',
                'client' => 'theatre',
                'created' => '2020-08-19',
                'ends' => '2026-08-19',
                'intent' => 'ask_client',
                'statuses' => ['redemptionPeriod'],
            ],
            [
                'name' => 'choir-nights.com',
                'account' => '52044',
                'client' => 'choir',
                'created' => '2018-10-10',
                'ends' => '2026-10-10',
                'intent' => 'by_itself',
                'lock' => 'off',
            ],
            [
                'name' => 'sea-shanty.org',
                'account' => '52044',
                'client' => 'choir',
                'created' => '2017-10-02',
                'ends' => '2026-10-02',
                'intent' => 'by_itself',
                'lock' => 'off',
                'mailbox' => 'songs@sound-choirs.org',
            ],
            [
                'name' => 'sound-choirs.org',
                'account' => '52044',
                'client' => 'choir',
                'created' => '2011-02-20',
                'ends' => '2027-02-20',
                'intent' => 'by_itself',
                'lock' => 'on',
                'extras' => ['mail', 'certificate'],
                'mailbox' => 'notes@sea-shanty.org',
            ],
            [
                'name' => 'marrow-boatyard.de',
                'account' => 'H-2207',
                'client' => 'boatyard',
                'created' => '2018-03-08',
                'ends' => '2027-03-08',
                'intent' => 'by_itself',
            ],
            [
                'name' => 'tidepool.net',
                'account' => '40718',
                'client' => 'boatyard',
                'created' => '2021-08-05',
                'ends' => '2026-08-05',
                'intent' => 'lapse',
                'statuses' => ['pendingDelete'],
            ],
            [
                'name' => 'marrow-slipway.com',
                'account' => 'H-2207',
                'client' => 'boatyard',
                'created' => '2026-09-19',
                'ends' => '2028-09-19',
                'intent' => 'when_told',
            ],
            [
                'name' => 'ferret-fowl-vets.com',
                'account' => '40718',
                'client' => 'vets',
                'created' => '2015-09-22',
                'ends' => '2026-09-22',
                'intent' => 'when_told',
                'lock' => 'off',
            ],
            [
                'name' => 'fowl-advice.org',
                'account' => '40718',
                'client' => 'vets',
                'created' => '2022-10-17',
                'ends' => '2026-10-17',
                'intent' => 'when_told',
                'lock' => 'off',
            ],
            [
                'name' => 'pony-and-poultry.com',
                'account' => '40718',
                'client' => 'vets',
                'created' => '2019-09-08',
                'ends' => '2026-09-08',
                'intent' => 'when_told',
                'lock' => 'off',
            ],
            [
                'name' => 'the-low-quay-tramway-museum-and-its-friends-in-wickerby-sound.org',
                'account' => 'H-3178',
                'client' => 'tram',
                'created' => '2021-05-01',
                'ends' => '2027-05-01',
                'intent' => 'when_told',
                'registrant' => 'The Low-Quay Tramway Museum',
            ],
            [
                'name' => 'glocken-für-jeden-anlass.art',
                'account' => '40718',
                'client' => 'foundry',
                'created' => '2023-07-07',
                'ends' => null,
                'intent' => 'when_told',
            ],
        ];
    }

    /** @return array<string, array{list<string>, list<string>, list<string>}> first words, second words, accounts, by client */
    private static function stems(): array
    {
        return [
            'foundry' => [
                ['bell', 'peal', 'carillon', 'clapper', 'bronze', 'tower'],
                ['works', 'casting', 'restoration', 'shop', 'heritage', 'tours'],
                ['40718', '51877'],
            ],
            'kelp' => [
                ['kelp', 'seaweed', 'tideline', 'wrack'],
                ['farm', 'kitchen', 'market', 'soap', 'garden', 'school'],
                ['40718', 'H-2207', '51902'],
            ],
            'tram' => [['tram', 'tramway', 'lowquay', 'doubledeck'], ['depot', 'friends', 'rides', 'archive', 'shop'], ['40718', 'H-3178']],
            'observatory' => [
                ['gannet', 'nightsky', 'meridian', 'dome'],
                ['head', 'evenings', 'maps', 'journal', 'lectures'],
                ['7810', '7731', 'H-2207'],
            ],
            'theatre' => [
                ['quayside', 'footlight', 'prompter', 'curtain'],
                ['stage', 'season', 'bar', 'players', 'tickets'],
                ['40718', '7902'],
            ],
            'choir' => [
                ['sound', 'descant', 'evensong', 'seafolk'],
                ['singers', 'voices', 'scores', 'weekend', 'library'],
                ['52044', '40718'],
            ],
            'boatyard' => [
                ['marrow', 'clinker', 'keel', 'rowlock'],
                ['boats', 'yard', 'charter', 'repairs', 'moorings'],
                ['H-2207', 'H-3115'],
            ],
            'vets' => [['ferret', 'fowl', 'paddock', 'coop'], ['clinic', 'care', 'night-line', 'advice', 'supplies'], ['40718', 'H-3240']],
            'house' => [['harrow', 'tern', 'wickerby'], ['studio', 'hosting', 'drafts', 'status'], ['40718', '7731']],
        ];
    }

    /** @return list<array{name: string, account: string, client: string, created: string, ends: string, intent: string, lock: string}> */
    public static function others(int $count): array
    {
        $random = new Randomizer(new Mt19937(1006));
        $suffixes = ['com', 'com', 'org', 'co.uk', 'co.uk', 'net', 'uk'];
        $intents = ['by_itself', 'by_itself', 'by_itself', 'by_itself', 'when_told', 'ask_client', 'lapse'];
        $today = Instant::of('2026-10-06');
        $names = [];
        $clients = array_keys(self::stems());
        while (count($names) < $count) {
            $client = $clients[$random->getInt(0, count($clients) - 1)];
            [$first, $second, $accounts] = self::stems()[$client];
            $name =
                $first[$random->getInt(0, count($first) - 1)].
                '-'.
                $second[$random->getInt(0, count($second) - 1)].
                '.'.
                $suffixes[$random->getInt(0, 6)];
            if (isset($names[$name])) {
                continue;
            }
            $ends = $today->plusDays($random->getInt(24, 640));
            $names[$name] = [
                'name' => $name,
                'account' => $accounts[$random->getInt(0, count($accounts) - 1)],
                'client' => $client,
                'created' => $ends->plusYears(-$random->getInt(2, 9))->iso(),
                'ends' => $ends->iso(),
                'intent' => $intents[$random->getInt(0, 6)],
                'lock' => $random->getInt(0, 2) > 0 ? 'on' : 'off',
            ];
            // There no name has a lock.
            $names[$name]['lock'] = str_ends_with($name, 'uk') ? 'unknown' : $names[$name]['lock'];
        }

        return array_values($names);
    }
}
