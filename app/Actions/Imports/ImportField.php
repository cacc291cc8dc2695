<?php

declare(strict_types=1);

namespace App\Actions\Imports;

/** What a column of a list can be. */
enum ImportField: string
{
    case Name = 'name';
    case Created = 'created';
    case Ends = 'ends';
    case Moved = 'moved';
    case Account = 'account';
    case Client = 'client';
    case Registrant = 'registrant';
    case Mailbox = 'mailbox';
    case Reference = 'reference';
    case Intent = 'intent';
    case Lock = 'lock';
    case Statuses = 'statuses';
    case Disclosure = 'disclosure';
    /** What renewing this one name costs, where it is no price of its suffix. */
    case Renewal = 'renewal';
    /** Of that price, where it stands in a column of its own. */
    case Currency = 'currency';
    /** May stand in several columns, a host each. */
    case Servers = 'servers';
    /** Labels that people gave. */
    case Words = 'words';
    /** At which registrar a line's account is, where a list has several. */
    case Registrar = 'registrar';
    /** What our own lists say and no list can tell us. */
    case LeftOut = 'left_out';
    /** Kept as it is, under its heading. */
    case Raw = 'raw';

    public function isDate(): bool
    {
        return $this === self::Created || $this === self::Ends || $this === self::Moved;
    }

    public function mayRepeat(): bool
    {
        return $this === self::Servers || $this === self::Raw || $this === self::LeftOut;
    }

    /** @return list<string> headings that mean it, letters and digits only */
    public function headings(): array
    {
        return match ($this) {
            self::Name => [
                'name',
                'domain',
                'domainname',
                'domains',
                'fqdn',
                'hostname',
                'domäne',
                'domaine',
                'nomdedomaine',
                'domeinnaam',
                'domein',
                'dominio',
                'nombrededominio',
                'nomedominio',
                'domainnavn',
            ],
            self::Created => [
                'created',
                'createdon',
                'creationdate',
                'registered',
                'registeredon',
                'registrationdate',
                'createdate',
                'regdate',
                'startdate',
                'registriert',
                'registrierungsdatum',
                'registriertam',
                'angelegt',
                'datedecréation',
                'dateenregistrement',
                'datedenregistrement',
                'créé',
                'registratiedatum',
                'aanmaakdatum',
                'fechaderegistro',
                'fechadecreación',
                'datadiregistrazione',
                'datadicreazione',
            ],
            self::Ends => [
                'ends',
                'expires',
                'expiry',
                'expirydate',
                'expiration',
                'expirationdate',
                'expireson',
                'expiresat',
                'expiringdate',
                'enddate',
                'renewaldate',
                'renewalon',
                'duedate',
                'validuntil',
                'paiduntil',
                'paidthrough',
                'ablaufdatum',
                'ablauf',
                'läuftabam',
                'gültigbis',
                'verlängerungam',
                'datedexpiration',
                'expirele',
                'échéance',
                'datedéchéance',
                'vervaldatum',
                'einddatum',
                'verlooptop',
                'fechadevencimiento',
                'vencimiento',
                'caducidad',
                'fechadecaducidad',
                'scadenza',
                'datadiscadenza',
            ],
            self::Moved => ['moved', 'transferred', 'transferdate', 'transferredon', 'transferin', 'transferiertam', 'datedetransfert'],
            self::Account => [
                'account',
                'accountnumber',
                'accountno',
                'accountid',
                'customer',
                'customernumber',
                'customerno',
                'kundennummer',
                'konto',
                'numérodecompte',
                'compte',
                'klantnummer',
                'cuenta',
                'conto',
            ],
            self::Client => [
                'client',
                'clientname',
                'company',
                'department',
                'brand',
                'abteilung',
                'kunde',
                'label',
                'project',
                'klant',
                'cliente',
            ],
            self::Registrant => [
                'registrant',
                'owner',
                'holder',
                'organisation',
                'organization',
                'registrantname',
                'registrantorganisation',
                'inhaber',
                'domaininhaber',
                'titulaire',
                'propriétaire',
                'houder',
                'titular',
                'propietario',
                'intestatario',
            ],
            self::Mailbox => [
                'mailbox',
                'email',
                'mail',
                'registrantemail',
                'owneremail',
                'contactemail',
                'courriel',
                'emailadresse',
                'emailadres',
                'correo',
                'correoelectrónico',
            ],
            self::Reference => [
                'reference',
                'ref',
                'orderid',
                'domainid',
                'contractnumber',
                'id',
                'serviceid',
                'roid',
                'vertragsnummer',
                'auftragsnummer',
                'référence',
                'referentie',
                'referencia',
                'riferimento',
            ],
            self::Intent => [
                'intent',
                'autorenew',
                'autorenewal',
                'renewal',
                'renewautomatically',
                'renew',
                'automatischeverlängerung',
                'verlängerung',
                'renouvellementautomatique',
                'automatischverlengen',
                'renovaciónautomática',
                'rinnovoautomatico',
            ],
            self::Lock => [
                'lock',
                'locked',
                'transferlock',
                'registrarlock',
                'transfersperre',
                'gesperrt',
                'verrou',
                'verrouillage',
                'bloqueo',
                'blocco',
                'slot',
            ],
            self::Statuses => ['status', 'statuses', 'eppstatus', 'state', 'statut', 'estado', 'stato'],
            self::Disclosure => [
                'disclosure',
                'publicrecord',
                'privacy',
                'whoisprivacy',
                'privacyprotection',
                'datenschutz',
                'confidentialité',
                'privacidad',
            ],
            self::Renewal => [
                'renewalprice',
                'renewprice',
                'renewalcost',
                'renewal',
                'renew',
                'price',
                'amount',
                'cost',
                'yearlyprice',
                'recurringamount',
                'verlängerungspreis',
                'preis',
                'jahrespreis',
                'prixderenouvellement',
                'prix',
                'prijs',
                'verlengingsprijs',
                'precio',
                'precioderenovación',
                'prezzo',
            ],
            self::Currency => [
                'pricecurrency',
                'renewalcurrency',
                'currency',
                'currencycode',
                'währung',
                'devise',
                'monnaie',
                'moneda',
                'valuta',
                'divisa',
                'moeda',
                'waluta',
            ],
            self::Servers => [
                'servers',
                'nameserver',
                'nameservers',
                'ns',
                'ns1',
                'ns2',
                'ns3',
                'ns4',
                'nameserver1',
                'nameserver2',
                'nameserver3',
                'nameserver4',
                'dns',
                'dns1',
                'dns2',
                'dns3',
                'dns4',
                'serveurs',
                'serveursdenoms',
                'serveurdns',
                'naamservers',
                'servidores',
                'servidoresdenombres',
            ],
            self::Words => ['words', 'tags', 'labels', 'schlagwörter', 'étiquettes', 'etiquetas', 'etichette'],
            self::Registrar => ['registrar'],
            self::LeftOut => ['unicode', 'suffix', 'phase', 'next', 'nexton', 'yearcosts', 'yearcurrency'],
            self::Raw => [],
        };
    }
}
