<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** What hangs on a record, the worst to lose first. Which hosts and texts tell it: common practice, and the RFCs named below. */
enum Service: string
{
    /** No server answers for it, or for a part of it. */
    case Delegation = 'delegation';
    /** Mail does not arrive. */
    case Mail = 'mail';
    case Web = 'web';
    /** Mail that is sent is refused or marked as junk: SPF (RFC 7208), DKIM (RFC 6376), DMARC (RFC 7489). */
    case MailTrust = 'mail_trust';
    /** A service that looked for a text to see who owns the name. */
    case Proof = 'proof';
    /** Who may issue certificates, and which one a service shows (RFC 8659, RFC 6698). */
    case Certificates = 'certificates';
    case Other = 'other';

    private const MAIL_HOSTS = ['mail', 'smtp', 'imap', 'pop', 'pop3', 'mx', 'autodiscover', 'autoconfig'];

    /**
     * @param  string  $zone  small letters, without the last dot
     * @param  string  $data  all records of the set
     */
    public static function of(string $zone, string $host, string $type, string $data): self
    {
        $label = explode('.', $host)[0];

        return match ($type) {
            'NS', 'SOA', 'DS', 'DNSKEY', 'CDS', 'CDNSKEY' => self::Delegation,
            'MX' => self::Mail,
            'A', 'AAAA', 'CNAME' => match (true) {
                $host === $zone || $label === 'www' => self::Web,
                str_contains(".{$host}", '._domainkey.') => self::MailTrust,
                preg_match('/\A(?:mx|mail)\d*\z/', $label) === 1 || in_array($label, self::MAIL_HOSTS, true) => self::Mail,
                str_starts_with($label, '_') => self::Proof,
                default => self::Web,
            },
            'TXT', 'SPF' => match (true) {
                $label === '_dmarc', str_contains(".{$host}", '._domainkey.') => self::MailTrust,
                default => preg_match('/v=spf1\b/i', $data) === 1 ? self::MailTrust : self::Proof,
            },
            'SRV' => preg_match('/\A_(?:submissions?|imaps?|pop3s?|autodiscover)\z/', $label) === 1 ? self::Mail : self::Other,
            'CAA', 'TLSA' => self::Certificates,
            default => self::Other,
        };
    }
}
