<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What is wrong with what a name says about mail, or weak. */
enum MailFinding: string implements FindingTag
{
    /** Neither an MX nor a word that it takes no mail: senders try its address (RFC 5321 §5.1). */
    case NoExchange = 'no_exchange';
    /** A null MX beside others (RFC 7505 §3). */
    case NullBesideOthers = 'null_beside_others';
    /** RFC 2181 §10.3. */
    case ExchangeIsAlias = 'exchange_is_alias';
    case ExchangeNotThere = 'exchange_not_there';
    case NoSpf = 'no_spf';
    case SpfBroken = 'spf_broken';
    /** Anybody may send for it. */
    case SpfOpen = 'spf_open';
    case SpfNearLimit = 'spf_near_limit';
    case NoDmarc = 'no_dmarc';
    case DmarcBroken = 'dmarc_broken';
    /** It only watches. */
    case DmarcNone = 'dmarc_none';
    /** A key that was withdrawn, or can't be read (RFC 6376 §3.6.1). */
    case KeyUnusable = 'key_unusable';
    /** It takes no mail, and doesn't say that it sends none. */
    case MaySend = 'may_send';

    public static function area(): string
    {
        return 'mail';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::ExchangeIsAlias, self::ExchangeNotThere, self::KeyUnusable => ['host'],
            self::SpfBroken => ['fault', 'at'],
            self::SpfNearLimit => ['count'],
            default => [],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::NullBesideOthers, self::ExchangeIsAlias, self::ExchangeNotThere, self::SpfBroken => Cost::Dark,
            default => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return Actor::House;
    }

    public function cure(): ?Cure
    {
        return null;
    }
}
