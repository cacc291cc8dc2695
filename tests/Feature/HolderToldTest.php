<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\LocalForm;
use Acre\Core\Contact\Mailbox;
use Acre\Wire\Epp\Data\PostalInfo;
use App\Outside\Registrar\Holder;
use PHPUnit\Framework\TestCase;

/** A legal holder as registrars are told of them. */
final class HolderToldTest extends TestCase
{
    private static function contact(
        string $organisation,
        ?string $person = 'Gudrun Kettle',
        string $town = 'Wickerby',
        ?LocalForm $local = null,
    ): Contact {
        return Contact::of(
            HolderKind::Organisation,
            $organisation,
            $person,
            Address::of(['Foundry Lane 1'], $town, null, 'WS1 4AB', Country::of('GB')),
            null,
            Mailbox::tryOf('desk@peal.example'),
            $local,
        );
    }

    /** @return list<array{bool, string, string|null, string}> */
    private static function postal(Contact $contact): array
    {
        return array_map(
            fn (PostalInfo $one): array => [$one->isLocal, $one->name, $one->organisation, $one->town],
            Holder::of('7', 1, $contact, null)->postal(),
        );
    }

    /** RFC 5733 §2.4: `int` is ASCII; what is not is `loc`. */
    public function test_the_international_form_is_ascii_and_the_other_stands_beside_it(): void
    {
        self::assertSame([[false, 'Gudrun Kettle', 'Peal Trust', 'Wickerby']], self::postal(self::contact('Peal Trust')));
        self::assertSame([[true, 'Zoë Kettle', 'Peal Trust', 'Wickerby']], self::postal(self::contact('Peal Trust', 'Zoë Kettle')));
        $local = new LocalForm(
            'Glockengießerei',
            'Gudrun Kettle',
            Address::of(['Gießereigasse 1'], 'Wickerby', null, 'WS1 4AB', Country::of('GB')),
        );
        self::assertSame(
            [[false, 'Gudrun Kettle', 'Bell Foundry', 'Wickerby'], [true, 'Gudrun Kettle', 'Glockengießerei', 'Wickerby']],
            self::postal(self::contact('Bell Foundry', local: $local)),
        );
        // A contact has a name (RFC 5733 §3.2.1): where nobody is named, it is the organisation's.
        self::assertSame([[false, 'Peal Trust', 'Peal Trust', 'Wickerby']], self::postal(self::contact('Peal Trust', null)));
    }

    /** RFC 5733 §4: clIDType, 3 to 16 characters. */
    public function test_its_handle_is_the_same_for_the_same_and_fits(): void
    {
        $of = fn (string $account, int $version, string $organisation = 'Peal Trust', ?string $shown = null): string => Holder::of(
            $account,
            $version,
            self::contact($organisation),
            $shown,
        )->handle;
        self::assertSame($of('40718', 7), $of('40718', 7));
        self::assertCount(
            5,
            array_unique([
                $of('40718', 7),
                $of('40719', 7),
                $of('40718', 8),
                $of('40718', 7, 'Other Trust'),
                $of('40718', 7, shown: 'organisation'),
            ]),
        );
        foreach ([1, 999_999_999, 2_000_000_000_000] as $version) {
            self::assertMatchesRegularExpression('/^[0-9A-Z-]{3,16}$/D', $of('40718', $version));
        }
    }
}
