<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What is wrong with a delegation, or weak. */
enum DelegationFinding: string implements FindingTag
{
    /** Not one of its servers answers for it. */
    case NobodyAnswers = 'nobody_answers';
    case NotDelegated = 'not_delegated';
    case ServerSilent = 'server_silent';
    case ServerLame = 'server_lame';
    case ServerNoAddress = 'server_no_address';
    case ServerIsAlias = 'server_is_alias';
    case ServerNotHeld = 'server_not_held';
    case ServerWithoutTcp = 'server_without_tcp';
    /** It lies under a name of ours that is about to end. */
    case ServerEnds = 'server_ends';
    /** Names of ours serve each other, and nobody outside can begin anywhere. */
    case ServersInRing = 'servers_in_ring';
    case GlueMissing = 'glue_missing';
    case GlueWrong = 'glue_wrong';
    case ListsDiffer = 'lists_differ';
    case OutOfStep = 'out_of_step';
    case OneServer = 'one_server';
    case OneNetwork = 'one_network';
    /** The registry has a DS and the proof breaks: resolvers that validate answer nothing. */
    case DnssecBroken = 'dnssec_broken';
    case SignaturesLapse = 'signatures_lapse';
    /** Signed, and nobody can prove it. */
    case SignedWithoutDelegate = 'signed_without_delegate';

    public static function area(): string
    {
        return 'delegation';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::NobodyAnswers, self::NotDelegated, self::OneServer, self::SignedWithoutDelegate => [],
            self::DnssecBroken => ['fault'],
            self::SignaturesLapse => ['until'],
            self::ServerSilent,
            self::ServerNoAddress,
            self::ServerIsAlias,
            self::ServerNotHeld,
            self::ServerWithoutTcp,
            self::GlueMissing => ['host'],
            self::GlueWrong => ['host', 'glue', 'own'],
            self::ServerEnds => ['host', 'name', 'until'],
            self::ServersInRing => ['names'],
            self::ServerLame => ['host', 'answer'],
            self::ListsDiffer => ['parent', 'child'],
            self::OutOfStep => ['host', 'serial', 'newest'],
            self::OneNetwork => ['network'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::NobodyAnswers,
            self::NotDelegated,
            self::DnssecBroken,
            self::SignaturesLapse,
            self::ServerEnds,
            self::ServersInRing => Cost::Dark,
            self::ServerNotHeld => Cost::NameLost,
            default => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::ServerSilent,
            self::ServerLame,
            self::ServerNoAddress,
            self::ServerIsAlias,
            self::ServerWithoutTcp,
            self::OutOfStep,
            self::OneNetwork,
            self::SignaturesLapse => Actor::Host,
            self::GlueMissing, self::GlueWrong => Actor::Registrar,
            default => Actor::House,
        };
    }

    public function cure(): Cure
    {
        return match ($this) {
            self::NotDelegated,
            self::ListsDiffer,
            self::OneServer,
            self::ServerNotHeld,
            self::ServerEnds,
            self::ServersInRing => Cure::ChangeServers,
            self::GlueMissing, self::GlueWrong => Cure::CorrectGlue,
            default => Cure::AskHost,
        };
    }
}
