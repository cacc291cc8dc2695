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
    /** May stand in several columns, a host each. */
    case Servers = 'servers';
    /** Labels that people gave. */
    case Words = 'words';
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
            self::Name => ['name', 'domain', 'domainname', 'domains', 'fqdn', 'hostname', 'domäne', 'domaine', 'nomdedomaine', 'domeinnaam', 'dominio'],
            self::Created => ['created', 'createdon', 'creationdate', 'registered', 'registeredon', 'registrationdate', 'createdate', 'regdate', 'registriert', 'datedecréation'],
            self::Ends => ['ends', 'expires', 'expiry', 'expirydate', 'expiration', 'expirationdate', 'expireson', 'expiresat', 'enddate', 'renewaldate', 'validuntil', 'paiduntil', 'ablaufdatum', 'ablauf', 'datedexpiration', 'vervaldatum'],
            self::Moved => ['moved', 'transferred', 'transferdate', 'transferredon', 'transferin'],
            self::Account => ['account', 'accountnumber', 'accountno', 'accountid', 'customer', 'customernumber', 'customerno', 'kundennummer'],
            self::Client => ['client', 'clientname', 'company', 'kunde', 'label', 'project'],
            self::Registrant => ['registrant', 'owner', 'holder', 'organisation', 'organization', 'registrantname', 'registrantorganisation', 'inhaber', 'titulaire'],
            self::Mailbox => ['mailbox', 'email', 'mail', 'registrantemail', 'owneremail', 'contactemail'],
            self::Reference => ['reference', 'ref', 'orderid', 'domainid', 'contractnumber', 'id', 'serviceid', 'roid'],
            self::Intent => ['intent', 'autorenew', 'autorenewal', 'renewal', 'renewautomatically', 'renew'],
            self::Lock => ['lock', 'locked', 'transferlock', 'registrarlock'],
            self::Statuses => ['status', 'statuses', 'eppstatus', 'state'],
            self::Disclosure => ['disclosure', 'publicrecord', 'privacy', 'whoisprivacy', 'idprotect', 'idprotection', 'privacyprotection', 'datenschutz'],
            self::Servers => ['servers', 'nameserver', 'nameservers', 'ns', 'ns1', 'ns2', 'ns3', 'ns4', 'nameserver1', 'nameserver2', 'nameserver3', 'nameserver4', 'dns', 'dns1', 'dns2', 'serveurs', 'serveursdenoms'],
            self::Words => ['words', 'tags', 'labels', 'schlagwörter', 'étiquettes'],
            self::LeftOut => ['registrar', 'unicode', 'suffix', 'phase', 'next', 'nexton', 'yearcosts', 'currency'],
            self::Raw => [],
        };
    }
}
