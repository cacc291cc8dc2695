<?php

declare(strict_types=1);

namespace App\Actions\Registrars;

use App\Models\Price;

/** What a column of a registrar's price list is, by its heading, in the languages of those who write them (common practice). */
enum PriceListed: string
{
    case Suffix = 'suffix';
    case Action = 'action';
    case Amount = 'amount';
    case Currency = 'currency';
    // Where a row has a price of each, its columns are the actions.
    case Add = 'add';
    case Renew = 'renew';
    case Transfer = 'transfer';
    case Restore = 'restore';
    case Late = 'late';
    case Handover = 'handover';
    case Privacy = 'privacy';

    public static function of(string $heading): ?self
    {
        $plain = (string) preg_replace('/[^\p{L}]+/u', '', mb_strtolower($heading));
        foreach (self::cases() as $one) {
            if (in_array($plain, $one->headings(), true)) {
                return $one;
            }
        }

        return null;
    }

    /** One of `Price::ACTIONS`; null: it is no action. */
    public function action(): ?string
    {
        return in_array($this->value, Price::ACTIONS, true) ? $this->value : null;
    }

    /** @return list<string> letters only, in lower case */
    private function headings(): array
    {
        $words = match ($this) {
            self::Suffix => 'suffix tld extension zone ending domain endung domainendung extensión estensione extensie '
                .'dominio',
            self::Action => 'action operation type for service aktion vorgang art opération operación actie',
            self::Amount => 'amount price net netprice cost fee yearcosts preis betrag nettopreis prix prixht montant precio '
                .'importe prezzo prijs bedrag',
            self::Currency => 'currency currencycode währung devise monnaie moneda valuta divisa',
            self::Add => 'add register registration registrationprice create new registrierung neuregistrierung '
                .'enregistrement registro registrazione registratie',
            self::Renew => 'renew renewal renewalprice renewprice verlängerung renouvellement renovación rinnovo verlenging',
            self::Transfer => 'transfer transferin transferprice umzug transfert transferencia trasferimento verhuizing',
            self::Restore => 'restore redemption restoration restoreprice wiederherstellung restauration restauración '
                .'ripristino herstel',
            self::Late => 'late latefee laterenewal',
            self::Handover => 'handover accountchange',
            self::Privacy => 'privacy whoisprivacy privacyservice privacyprotection',
        };

        return explode(' ', $words);
    }
}
