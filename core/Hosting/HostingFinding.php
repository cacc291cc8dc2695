<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What is wrong with the pages of a host, with where it leads, or with its certificate. */
enum HostingFinding: string implements FindingTag
{
    /** Met at another place than it belongs to; by where that is put right. */
    case ElsewhereAtPlace = 'elsewhere_at_place';
    case ElsewhereByServers = 'elsewhere_by_servers';
    case ElsewhereByRecords = 'elsewhere_by_records';
    case NoAddress = 'no_address';

    case Silent = 'silent';
    case ServerError = 'server_error';
    case NoPage = 'no_page';
    /** A host with pages of its own sends its visitors to another name. */
    case LeadsAway = 'leads_away';

    case NotRedirected = 'not_redirected';
    case OtherTarget = 'other_target';
    case Permanent = 'permanent';
    case Temporary = 'temporary';
    case PathLost = 'path_lost';
    case PathKept = 'path_kept';
    case Loop = 'loop';
    case Chain = 'chain';
    case EndsInsecure = 'ends_insecure';

    case NoTls = 'no_tls';
    case CertificateOver = 'certificate_over';
    case CertificateEnds = 'certificate_ends';
    case CertificateEarly = 'certificate_early';
    case CertificateOfOthers = 'certificate_of_others';
    case CertificateSelfSigned = 'certificate_self_signed';
    case CertificateIncomplete = 'certificate_incomplete';
    case CertificateStranger = 'certificate_stranger';
    case CertificateBroken = 'certificate_broken';

    public static function ofWay(Way $way): self
    {
        return match ($way) {
            Way::AtPlace => self::ElsewhereAtPlace,
            Way::Servers => self::ElsewhereByServers,
            Way::Records => self::ElsewhereByRecords,
        };
    }

    public static function ofFault(CertificateFault $fault): self
    {
        return match ($fault) {
            CertificateFault::SelfSigned => self::CertificateSelfSigned,
            CertificateFault::Incomplete => self::CertificateIncomplete,
            CertificateFault::Stranger => self::CertificateStranger,
            CertificateFault::Broken, CertificateFault::SignerLapsed => self::CertificateBroken,
        };
    }

    public static function area(): string
    {
        return 'hosting';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::ElsewhereAtPlace, self::ElsewhereByServers, self::ElsewhereByRecords => ['host', 'seen', 'place', 'addresses'],
            self::NoAddress, self::PathLost, self::PathKept, self::NoTls => ['host'],
            self::Silent => ['host', 'address'],
            self::ServerError, self::NoPage => ['host', 'status'],
            self::LeadsAway, self::EndsInsecure => ['host', 'to'],
            self::NotRedirected => ['host', 'target'],
            self::OtherTarget => ['host', 'to', 'target'],
            self::Permanent, self::Temporary => ['host', 'status'],
            self::Loop => ['host', 'through'],
            self::Chain => ['host', 'redirects', 'to'],
            self::CertificateOver => ['host', 'ended'],
            self::CertificateEnds => ['host', 'ends'],
            self::CertificateEarly => ['host', 'begins'],
            self::CertificateOfOthers => ['host', 'names'],
            self::CertificateSelfSigned => ['host'],
            self::CertificateIncomplete, self::CertificateStranger, self::CertificateBroken => ['host', 'issuer'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::Permanent,
            self::Temporary,
            self::PathLost,
            self::PathKept,
            self::Chain,
            self::EndsInsecure,
            self::NoPage,
            self::NoTls,
            self::CertificateEnds => Cost::Attention,
            default => Cost::Dark,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::ElsewhereByServers, self::ElsewhereByRecords, self::NoAddress => Actor::House,
            default => Actor::Host,
        };
    }

    public function cure(): Cure
    {
        return match ($this) {
            self::ElsewhereByServers => Cure::ChangeServers,
            self::ElsewhereByRecords, self::NoAddress => Cure::SetRecords,
            self::ElsewhereAtPlace, self::Silent, self::ServerError, self::NoPage => Cure::AskPlace,
            self::LeadsAway,
            self::NotRedirected,
            self::OtherTarget,
            self::Permanent,
            self::Temporary,
            self::PathLost,
            self::PathKept,
            self::Loop,
            self::Chain,
            self::EndsInsecure => Cure::SetRedirect,
            default => Cure::RenewCertificate,
        };
    }
}
