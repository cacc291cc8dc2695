<?php

declare(strict_types=1);

namespace Acre\Wire\Text;

use Normalizer;

/**
 * The one place where a text that comes from outside becomes one that pages, proofs and the database can bear: forms,
 * lists, directories, letters, registrars and bridges all pass through here.
 *
 * Broken UTF-8 is replaced, letters are composed (NFC), control characters and line separators become blanks, and what
 * turns the order of reading about or can't be seen (Unicode Standard Annex 9 §2, Unicode Technical Report 36 §2.5) is taken out.
 */
final class PlainText
{
    /** Bidirectional controls, byte order mark, interlinear annotations, tags. Joiners stay: Persian and Indic spelling needs them. */
    private const UNSEEN = '/[\x{061C}\x{200E}\x{200F}\x{202A}-\x{202E}\x{2060}\x{2066}-\x{2069}\x{FEFF}'
        .'\x{FFF9}-\x{FFFB}\x{E0000}-\x{E007F}]+/u';

    private const CONTROL = '/[\p{Cc}\x{2028}\x{2029}]/u';

    private const CONTROL_WITHIN_LINES = '/[^\P{Cc}\n]/u';

    /**
     * One line of it.
     *
     * @param  int|null  $most  characters that are kept; null: all
     */
    public static function line(string $given, ?int $most = null): string
    {
        // Printable ASCII, which nearly everything is, stays as it is.
        if (preg_match('/[^\x20-\x7e]/', $given) === 1) {
            $given = (string) preg_replace(self::CONTROL, ' ', self::seen($given));
        }

        return $most === null ? $given : mb_substr($given, 0, $most);
    }

    /**
     * The same with its line feeds; other line ends become one.
     *
     * @param  int|null  $most  characters that are kept; null: all
     */
    public static function lines(string $given, ?int $most = null): string
    {
        if (preg_match('/[^\x20-\x7e\n]/', $given) === 1) {
            $given = (string) preg_replace(['/\r\n?|\x{2028}|\x{2029}/u', self::CONTROL_WITHIN_LINES], ["\n", ' '], self::seen($given));
        }

        return $most === null ? $given : mb_substr($given, 0, $most);
    }

    private static function seen(string $given): string
    {
        $text = (string) preg_replace(self::UNSEEN, '', mb_scrub($given, 'UTF-8'));
        $composed = Normalizer::normalize($text, Normalizer::FORM_C);

        return is_string($composed) ? $composed : $text;
    }
}
