<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Acre\Wire\Text\PlainText;
use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/** Whatever a form or an address says comes in as plain text: one line, but for the fields that have several. */
final class CleanStrings extends TransformsRequest
{
    /** The fields of several lines; a test finds those that a page shows and that are missing here. */
    public const LINES = [
        'about',
        'agreements',
        'body',
        'codes',
        'disclosure_steps',
        'letter',
        'letterhead',
        'local_street',
        'names',
        'note',
        'records',
        'remarks',
        'servers',
        'hosts',
        'addresses',
        'street',
        'zone',
    ];

    /** Compared and never shown: no letter of them may change but what no form can hold. */
    private const TO_THE_LETTER = ['password', 'password_confirmation', 'own_password', 'gate_password', 'current_password'];

    /**
     * @param  string  $key  `extras.mail` for what stands in a list
     * @param  mixed  $value
     */
    protected function transform($key, $value): mixed
    {
        return match (true) {
            ! is_string($value) => $value,
            in_array($key, self::TO_THE_LETTER, true) => str_replace("\0", '', mb_scrub($value)),
            in_array($key, self::LINES, true) => PlainText::lines($value),
            default => PlainText::line($value),
        };
    }
}
