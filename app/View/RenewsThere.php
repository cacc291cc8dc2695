<?php

declare(strict_types=1);

namespace App\View;

use App\Models\RenewSetting;
use App\Queries\Names\HeldCase;
use App\Support\Dates;

/** Whether a name is set to auto-renew at its registrar, and when that was seen. */
final readonly class RenewsThere
{
    private function __construct(public string $said, public bool $isAsMeant)
    {
    }

    /** Null: its registrar hasn't said, or said it of another account. */
    public static function of(?RenewSetting $setting, HeldCase $file): ?self
    {
        if ($setting?->renews === null || $setting->said_at === null || $setting->account_id !== $file->account->id) {
            return null;
        }
        $said = __('names.show.auto_renew_there.'.($setting->renews ? 'on' : 'off'), ['on' => Dates::full($setting->said_at)]);

        return new self(is_string($said) ? $said : '', $file->facts->intent->isServedBy($setting->renews));
    }
}
