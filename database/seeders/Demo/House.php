<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

/** The demo's people, clients, registrars and accounts. All invented; hosts under .example, telephone numbers for drama only. */
final class House
{
    public const PASSWORD = 'a tern over the sound';

    /** @return list<array{string, string, string}> name, mailbox, role */
    public static function people(): array
    {
        return [
            ['Odile Harrow', 'odile@harrow-tern.example', 'owner'],
            ['Theo Tern', 'theo@harrow-tern.example', 'steward'],
            ['Maud Ekström', 'maud@harrow-tern.example', 'clerk'],
            ['Pim Larkin', 'pim@harrow-tern.example', 'reader'],
        ];
    }

    /** @return array<string, array{name: string, mailbox: string}> */
    public static function clients(): array
    {
        return [
            'house' => ['name' => 'Harrow & Tern', 'mailbox' => 'desk@harrow-tern.example'],
            'foundry' => ['name' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@wickerby-bells.com'],
            'kelp' => ['name' => 'Sound Kelp Farm', 'mailbox' => 'tide@kelp-post.example'],
            'tram' => ['name' => 'Low Quay Tramway Museum', 'mailbox' => 'curator@lowquay.example'],
            'observatory' => ['name' => 'Gannet Head Observatory Trust', 'mailbox' => 'trust@gannet-head.example'],
            'theatre' => ['name' => 'Quayside Theatre Co-operative', 'mailbox' => 'box@quayside-stage.example'],
            'choir' => ['name' => 'Sound Choir Association', 'mailbox' => 'notes@soundchoirs.example'],
            'boatyard' => ['name' => 'Marrow’s Boatyard', 'mailbox' => 'slip@marrow-yard.example'],
            'vets' => ['name' => 'Ferret & Fowl Veterinary', 'mailbox' => 'desk@ferret-fowl.example'],
        ];
    }

    /**
     * @return array<string, array{string|null, list<string>, string, string|null, string, string, string}> who stands behind the names, by
     *     how they are called: person, street, town, postcode, country, telephone, kind
     */
    public static function contacts(): array
    {
        return [
            'Harrow & Tern' => [
                'Odile Harrow',
                ['The Net Loft', '3 Fish Steps'],
                'Wickerby Sound',
                'WS1 2HT',
                'GB',
                '+44 1632 960101',
                'organisation',
            ],
            'Wickerby Bell Foundry' => [
                'Gudrun Kettle',
                ['Foundry Lane'],
                'Wickerby Sound',
                'WS1 4AB',
                'GB',
                '+44 1632 960114',
                'organisation',
            ],
            'Sound Kelp Farm' => ['Ansel Wrack', ['PO Box 41'], 'Wickerby Sound', 'WS3 1KF', 'GB', '+44 1632 960127', 'organisation'],
            'Low Quay Tramway Museum' => [
                'Petra Quill',
                ['The Depot', 'Low Quay'],
                'Wickerby Sound',
                'WS2 7TM',
                'GB',
                '+44 1632 960133',
                'organisation',
            ],
            'The Low-Quay Tramway Museum' => [null, ['1 Depot Yard'], 'Wickerby', 'WS2 7TL', 'GB', '+44 1632 960134', 'organisation'],
            'Gannet Head Observatory Trust' => [
                'Dr. Ines Marrable',
                ['Gannet Head'],
                'Northwick',
                'WS9 5OT',
                'GB',
                '+44 1632 960146',
                'organisation',
            ],
            'Quayside Theatre Co-operative' => [
                'Bo Lindqvist',
                ['Stage Door', '12 Quayside'],
                'Wickerby Sound',
                'WS1 1QT',
                'GB',
                '+44 1632 960158',
                'organisation',
            ],
            'Sound Choir Association' => ['Tamsin Rook', ['Harbour Hall'], 'Wickerby Sound', null, 'GB', '+44 1632 960162', 'organisation'],
            'Marrow’s Boatyard' => ['Silas Marrow', ['Slipway 2'], 'Wickerby Sound', 'WS4 8MB', 'GB', '+44 1632 960175', 'organisation'],
            'Ferret & Fowl Veterinary' => [
                'Hanne Fowler',
                ['Paddock View'],
                'Upper Wick',
                'WS5 3FF',
                'GB',
                '+44 1632 960189',
                'organisation',
            ],
            'Gudrun Kettle' => ['Gudrun Kettle', ['7 Bell Row'], 'Wickerby Sound', 'WS1 4AD', 'GB', '+44 1632 960115', 'person'],
        ];
    }

    /**
     * @return list<array{string, string|null, list<array{string, string, string|null}>}> who, mailbox, and what they have: account, part,
     *     good until
     */
    public static function custodians(): array
    {
        return [
            [
                'Odile Harrow',
                'odile@harrow-tern.example',
                [
                    ['40718', 'signs_in', null],
                    ['40718', 'second_factor', null],
                    ['40718', 'card', '2026-10-31'],
                    ['7731', 'signs_in', null],
                    ['7731', 'card', '2028-04-30'],
                    ['H-2207', 'signs_in', null],
                    ['H-2207', 'way_back', null],
                ],
            ],
            [
                'Theo Tern',
                'theo@harrow-tern.example',
                [
                    ['40718', 'signs_in', null],
                    ['7731', 'signs_in', null],
                    ['7731', 'second_factor', null],
                    ['7810', 'signs_in', null],
                    ['7810', 'second_factor', null],
                    ['7810', 'way_back', null],
                    ['52044', 'signs_in', null],
                    ['52044', 'second_factor', null],
                ],
            ],
            ['Petra Quill', 'petra@lowquay.example', [['H-3178', 'signs_in', null]]],
        ];
    }

    /** @return array<string, list<string>> fields by what a pattern is called */
    public static function patterns(): array
    {
        return [
            'nothing of ours' => [],
            'the organisation, not the person' => ['organisation', 'town', 'region', 'country'],
            'open to be found' => ['name', 'organisation', 'street', 'town', 'region', 'postcode', 'country', 'voice', 'mailbox'],
        ];
    }

    /** @return array<string, array<string, mixed>> the registrars' columns */
    public static function registrars(): array
    {
        return [
            'skerry' => [
                'name' => 'Skerry Registrations',
                'page' => 'https://customers.skerry.example',
                'telephone' => '+44 1632 960300',
                'behind' => ['SKERRY'],
                'receiver_by' => 'number_login',
                'confirms' => 'receiver',
                'names_giver' => true,
                'lock_first' => true,
                'verifies_by' => 'house',
                'accept_days' => 14,
                'lot_size' => 500,
                'charge_lead_days' => 7,
                'charge_retries' => range(1, 7),
                'dark_after_days' => 0,
                'plain_after_days' => 22,
                'late_until_days' => 30,
                'extras' => ['privacy' => 'along', 'redirects' => 'ends', 'mail' => 'stays', 'certificate' => 'along'],
            ],
            'oriel' => [
                'name' => 'Oriel Names',
                'page' => 'https://my.oriel.example',
                'telephone' => '+44 1632 960344',
                'behind' => ['ORIEL'],
                'receiver_by' => 'handle',
                'confirms' => 'giver_then_receiver',
                'unlock_account_first' => true,
                'accept_days' => 7,
                'lot_size' => 200,
                'disclosure_steps' => [
                    [],
                    ['organisation', 'country'],
                    ['name', 'organisation', 'street', 'town', 'region', 'postcode', 'country', 'voice', 'mailbox'],
                ],
                'charge_lead_days' => 30,
                'charge_retries' => range(1, 30),
                'dark_after_days' => 3,
                'plain_after_days' => 30,
                'late_until_days' => 40,
                'extras' => ['privacy' => 'ends', 'zone' => 'along'],
            ],
            'pellbridge' => [
                'name' => 'Pellbridge',
                'behind' => ['Anchorage Registrar Services', 'ANCHORAGE'],
                'receiver_by' => 'mailbox_number',
                'confirms' => 'receiver_then_giver',
                'verification_sender' => 'holders@anchorage-registrar.example',
                'accept_days' => 10,
                'lot_size' => 50,
                'charge_lead_days' => 0,
                'handover_hold_days' => 30,
                'dark_after_days' => 1,
                'extras' => ['mail' => 'stays', 'zone' => 'ends', 'hosting' => 'stays'],
            ],
            'lantern' => [
                'name' => 'Lantern Wholesale',
                'page' => 'https://reseller.lantern.example',
                'telephone' => '+44 1632 960371',
                'behind' => ['LANTERN'],
                'agreements' => [
                    ['name' => 'Registration agreement', 'address' => 'https://reseller.lantern.example/agreement'],
                    ['name' => 'Terms of the registries', 'address' => 'https://reseller.lantern.example/registries'],
                ],
                'receiver_by' => 'number_login',
                'confirms' => 'receiver',
                'takes_keys' => true,
                'verifies_by' => 'house',
                'accept_days' => 14,
                'lot_size' => 1_000,
                'charge_lead_days' => 0,
                'dark_after_days' => 1,
            ],
        ];
    }

    /** @return list<array{string, string, string, string, string, string}> registrar, suffix, action, amount, tax per cent, since */
    public static function prices(): array
    {
        $list = [];
        $yearly = [
            'skerry' => [
                'com' => '9.90',
                'net' => '10.90',
                'org' => '10.60',
                'co.uk' => '7.20',
                'uk' => '7.20',
                'works' => '13.90',
                'de' => '6.80',
                'art' => '12.40',
            ],
            'oriel' => ['com' => '11.40', 'net' => '12.10', 'org' => '11.90', 'co.uk' => '8.40', 'uk' => '8.40'],
            'lantern' => [
                'com' => '9.90',
                'net' => '10.90',
                'org' => '10.60',
                'co.uk' => '7.20',
                'uk' => '7.20',
                'works' => '13.90',
                'art' => '12.40',
            ],
            'pellbridge' => ['com' => '10.80', 'net' => '11.60', 'org' => '11.20', 'co.uk' => '7.20', 'uk' => '7.20', 'de' => '6.80'],
        ];
        foreach ($yearly as $registrar => $prices) {
            foreach ($prices as $suffix => $amount) {
                $list[] = [$registrar, $suffix, 'renew', $amount, '0', '2023-01-01'];
                // Where a transfer adds no year it costs nothing.
                $adds = ! str_ends_with($suffix, 'uk') && $suffix !== 'de';
                $list[] = [$registrar, $suffix, 'transfer', $adds ? $amount : '0', '0', '2023-01-01'];
                if (! str_ends_with($suffix, 'uk') && $suffix !== 'de') {
                    $list[] = [$registrar, $suffix, 'restore', $registrar === 'oriel' ? '95.00' : '86.00', '0', '2023-01-01'];
                }
            }
        }
        foreach (['com', 'net', 'org', 'co.uk', 'uk', 'works'] as $suffix) {
            $list[] = ['skerry', $suffix, 'late', '75.40', '0', '2023-01-01'];
        }
        $list[] = ['oriel', 'com', 'late', '40.00', '0', '2023-01-01'];

        return $list;
    }

    /**
     * @return array<array-key, array{string, string, string, string, string|null, string|null, string, bool}> registrar, number, login,
     *     mailbox, handle, owner, access, proven
     */
    public static function accounts(): array
    {
        return [
            '40718' => ['skerry', '40718', 'harrow-tern', 'desk@harrow-tern.example', null, null, 'ours', true],
            '51877' => ['skerry', '51877', 'wickerby-foundry', 'ledger@wickerby-bells.com', null, 'foundry', 'theirs', true],
            '51902' => ['skerry', '51902', 'soundkelp', 'tide@kelp-post.example', null, 'kelp', 'theirs', false],
            '52044' => ['skerry', '52044', 'choirs-of-the-sound', 'notes@soundchoirs.example', null, 'choir', 'ours', true],
            '7731' => ['oriel', '7731', 'harrow', 'desk@harrow-tern.example', 'HT-ORIEL', null, 'ours', true],
            '7810' => ['oriel', '7810', 'gannethead', 'trust@gannet-head.example', 'GANNET', 'observatory', 'ours', true],
            '7902' => ['oriel', '7902', 'quayside', 'box@quayside-stage.example', 'QSIDE', 'theatre', 'theirs', true],
            '7955' => ['oriel', '7955', 'bells', 'ledger@wickerby-bells.com', 'FNDRY', 'foundry', 'theirs', false],
            'H-2207' => ['pellbridge', 'H-2207', 'ht2207', 'desk@harrow-tern.example', null, null, 'ours', true],
            'H-3115' => ['pellbridge', 'H-3115', 'marrow', 'slip@marrow-yard.example', null, 'boatyard', 'theirs', true],
            'H-3178' => ['pellbridge', 'H-3178', 'lowquay', 'curator@lowquay.example', null, 'tram', 'ours', true],
            'H-3240' => ['pellbridge', 'H-3240', 'ferretfowl', 'desk@ferret-fowl.example', null, 'vets', 'theirs', false],
            'L-5520' => ['lantern', 'L-5520', 'ht-lantern', 'desk@harrow-tern.example', null, null, 'ours', true],
        ];
    }
}
