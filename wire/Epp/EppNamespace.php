<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

/** The namespaces of the protocol, its objects and its extensions, with the prefix that they are written with. */
enum EppNamespace: string
{
    /** RFC 5730 §4.1 */
    case Epp = 'urn:ietf:params:xml:ns:epp-1.0';
    /** RFC 5731 §4 */
    case Domain = 'urn:ietf:params:xml:ns:domain-1.0';
    /** RFC 5732 §4 */
    case Host = 'urn:ietf:params:xml:ns:host-1.0';
    /** RFC 5733 §4 */
    case Contact = 'urn:ietf:params:xml:ns:contact-1.0';
    /** RFC 3915 §5 */
    case Grace = 'urn:ietf:params:xml:ns:rgp-1.0';
    /** RFC 5910 §6 */
    case SecDns = 'urn:ietf:params:xml:ns:secDNS-1.1';
    /** RFC 8748 §6 */
    case Fee = 'urn:ietf:params:xml:ns:epp:fee-1.0';
    /** What a registrar knows beyond the registry; our own, docs/account-extension.md */
    case Account = 'urn:acre-roll:params:xml:ns:account-1.0';

    public function prefix(): string
    {
        return match ($this) {
            self::Epp => 'epp', self::Domain => 'domain', self::Host => 'host', self::Contact => 'contact',
            self::Grace => 'rgp', self::SecDns => 'secDNS', self::Fee => 'fee', self::Account => 'account',
        };
    }
}
