<?php

declare(strict_types=1);

namespace App\Actions\Money;

/** What a column of a registrar's statement is, by its heading, in the languages of those who write them (common practice). */
enum StatementColumn: string
{
    case Day = 'day';
    case Name = 'name';
    case Words = 'words';
    case Amount = 'amount';
    /** Where what is charged and what is paid in stand in columns of their own. */
    case Charged = 'charged';
    case PaidIn = 'paid_in';
    case Currency = 'currency';
    case Reference = 'reference';

    public static function of(string $heading): ?self
    {
        $plain = (string) preg_replace('/[^\p{L}]+/u', '', mb_strtolower($heading));
        foreach (self::cases() as $one) {
            if (in_array($plain, explode(' ', $one->headings()), true)) {
                return $one;
            }
        }

        return null;
    }

    /** Letters only, in lower case. */
    private function headings(): string
    {
        return match ($this) {
            self::Day => 'date day transactiondate posted time datum buchungstag jour fecha data datetime',
            self::Name => 'domain domainname name domains domäne domaine dominio nomdedomaine',
            self::Words => 'description details text memo item product action type beschreibung verwendungszweck leistung libellé '
                .'descripción descrizione omschrijving operation',
            self::Amount => 'amount total sum price betrag summe montant importe importo bedrag value',
            self::Charged => 'debit charged charge withdrawal out soll belastung débit cargo addebito af',
            self::PaidIn => 'credit paidin deposit in haben gutschrift crédit abono accredito bij',
            self::Currency => 'currency currencycode währung devise moneda valuta',
            self::Reference => 'reference ref id transaction transactionid orderid order invoice invoiceno nummer referenz belegnummer '
                .'référence referencia riferimento',
        };
    }
}
