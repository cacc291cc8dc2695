<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact;
use Acre\Core\Contact\ContactError;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Phone;
use Acre\Wire\Card\CardError;
use Acre\Wire\Card\Cards;
use Acre\Wire\Card\ContactCard;
use App\Models\ContactVersion;
use App\Models\User;

/** Contacts from a file of cards: what can't stand is told, and the rest is taken. */
final readonly class ImportCards
{
    public function __construct(private SaveContact $save)
    {
    }

    /**
     * @return array{made: int, known: int, refused: list<string>}
     *
     * @throws CardError when it is no file of cards
     */
    public function handle(User $user, string $text): array
    {
        $made = $known = 0;
        $refused = [];
        foreach (Cards::read($text) as $number => $card) {
            try {
                $contact = $card instanceof ContactCard ? self::contact($card) : throw $card;
                if ($this->isHere($contact)) {
                    $known++;
                } else {
                    $this->save->create($user, $contact, null, 'card');
                    $made++;
                }
            } catch (ContactError $e) {
                $refused[] = "Card {$number}: {$e->getMessage()}";
            } catch (CardError $e) {
                $refused[] = $e->getMessage();
            }
        }

        return ['made' => $made, 'known' => $known, 'refused' => $refused];
    }

    /** @throws ContactError what of it can't stand */
    private static function contact(ContactCard $card): Contact
    {
        $country = $card->country === null ? null : self::country($card->country);
        $kind = match ($card->kind) {
            'org' => HolderKind::Organisation,
            'individual' => $card->organisation === null ? HolderKind::Person : HolderKind::Organisation,
            default => $card->organisation === null ? HolderKind::Unknown : HolderKind::Organisation,
        };

        return Contact::of(
            $kind,
            $card->organisation,
            $card->person,
            Address::of($card->street, $card->town, $card->region, $card->postcode, $country),
            $card->voice === null ? null : Phone::of($card->voice, $country),
            $card->mailbox === null ? null : Mailbox::of($card->mailbox),
        );
    }

    /** By its code, or as it is called in English. */
    private static function country(string $given): Country
    {
        foreach (array_keys(Country::all()) as $code) {
            if (strcasecmp(Country::of($code)->name(), $given) === 0) {
                return Country::of($code);
            }
        }

        return Country::of($given);
    }

    private function isHere(Contact $contact): bool
    {
        return ContactVersion::query()
            ->whereRaw('upper_inf(span)')
            ->whereRaw('lower(called) = lower(?)', [$contact->organisation ?? ($contact->person ?? '')])
            ->with('mailbox')
            ->get()
            ->contains(fn (ContactVersion $version): bool => $version->value($contact->kind)->differs($contact) === []);
    }
}
