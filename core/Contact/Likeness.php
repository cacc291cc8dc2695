<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use Normalizer;

/** What is left of how a contact is called once case, accents, points and legal forms are taken off: two that are alike have the same. */
final class Likeness
{
    private const FORMS = [
        'ltd',
        'limited',
        'llc',
        'llp',
        'plc',
        'inc',
        'incorporated',
        'corp',
        'corporation',
        'co',
        'company',
        'gmbh',
        'ag',
        'kg',
        'ug',
        'ohg',
        'ev',
        'sarl',
        'sas',
        'sa',
        'bv',
        'nv',
        'ab',
        'oy',
        'as',
        'aps',
        'srl',
        'spa',
        'pty',
        'the',
        'and',
        'und',
        'et',
        'mr',
        'mrs',
        'ms',
        'dr',
    ];

    /** @return string empty for what has no letter or figure */
    public static function of(string $called): string
    {
        $plain = Normalizer::normalize($called, Normalizer::FORM_KD);
        $plain = mb_strtolower((string) preg_replace('/\p{M}+/u', '', is_string($plain) ? $plain : $called));
        $plain = strtr($plain, ['ß' => 'ss', 'ø' => 'o', 'æ' => 'ae', 'œ' => 'oe', 'ł' => 'l', 'đ' => 'd']);
        // What joins letters is taken out, what parts words is a blank.
        $plain = (string) preg_replace(['/[.’\'`]/u', '/[^\p{L}\p{N}]+/u'], ['', ' '], $plain);
        $words = explode(' ', trim($plain));
        $kept = array_values(array_diff($words, self::FORMS));
        $kept = $kept === [] ? $words : $kept;
        sort($kept);

        return implode(' ', $kept);
    }
}
