<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Lifecycle\EndNotice;

/** A letter to somebody outside the house, of which a Steward may change the text. */
enum LetterKind: string
{
    case VerificationFirst = 'verification_first';
    case VerificationReminder = 'verification_reminder';
    case ConfirmationPrior = 'confirmation_prior';
    case ConfirmationNew = 'confirmation_new';
    case Acceptance = 'acceptance';
    case Yearly = 'yearly';
    case Codes = 'codes';
    case EndingMonth = 'ending_month';
    case EndingWeek = 'ending_week';
    case EndingToday = 'ending_today';
    case EndingOver = 'ending_over';
    case RenewalsFirst = 'renewals_first';
    case RenewalsReminder = 'renewals_reminder';

    public static function ofEnd(EndNotice $notice): self
    {
        return match ($notice) {
            EndNotice::Month => self::EndingMonth,
            EndNotice::Week => self::EndingWeek,
            EndNotice::Today => self::EndingToday,
            EndNotice::Over => self::EndingOver,
        };
    }

    /** Whether it goes to a client, and so in their language. */
    public function isToClient(): bool
    {
        return in_array($this->column(), ['ending', 'renewals'], true);
    }

    /** What `letters.kind` says of it. */
    public function column(): string
    {
        return match ($this) {
            self::VerificationFirst, self::VerificationReminder => 'verification',
            self::ConfirmationPrior, self::ConfirmationNew => 'confirmation',
            self::Acceptance => 'acceptance',
            self::Yearly => 'yearly',
            self::Codes => 'codes',
            self::RenewalsFirst, self::RenewalsReminder => 'renewals',
            self::EndingMonth, self::EndingWeek, self::EndingToday, self::EndingOver => 'ending',
        };
    }

    /** @return list<string> what it fills in */
    public function words(): array
    {
        return match ($this) {
            self::VerificationFirst, self::VerificationReminder, self::ConfirmationPrior, self::ConfirmationNew => [
                'house',
                'name',
                'names',
                'count',
                'by',
                'link',
            ],
            self::Codes => ['house', 'registrar', 'name', 'names', 'count', 'by', 'link'],
            self::RenewalsFirst, self::RenewalsReminder => ['house', 'names', 'count', 'by', 'link'],
            self::Acceptance => ['house', 'registrar', 'names', 'count', 'by', 'link', 'needed'],
            self::EndingMonth, self::EndingWeek, self::EndingToday, self::EndingOver => ['house', 'names', 'count'],
            self::Yearly => ['house', 'year', 'count', 'records'],
        };
    }

    /** @return list<string> without which it could not be answered, or would not say what it must */
    public function needs(): array
    {
        return match ($this) {
            self::Yearly => ['records'],
            self::EndingMonth, self::EndingWeek, self::EndingToday, self::EndingOver => ['names'],
            default => ['names', 'by', 'link'],
        };
    }
}
