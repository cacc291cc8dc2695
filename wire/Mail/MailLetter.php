<?php

declare(strict_types=1);

namespace Acre\Wire\Mail;

use Acre\Wire\Text\PlainText;
use ValueError;

/** One letter of mail (RFC 5322, 2045), as far as it is looked at here. */
final readonly class MailLetter
{
    private const LIMIT = 2_000_000;

    /** Characters of a header that are read. */
    private const HEADER = 2_000;

    /** Parts that are looked at. */
    private const PARTS = 50;

    /**
     * @param  string|null  $id  its Message-ID, without the angle brackets
     * @param  string  $from  as written
     * @param  string  $text  its plain words; empty where it has none
     * @param  string|null  $html  its words with markup, foreign and untrusted
     * @param  DeliveryReport|null  $report  where it is one
     * @param  string|null  $answers  the Message-ID of the letter that it answers (RFC 5322 §3.6.4)
     * @param  bool  $isAutomatic  whether a machine wrote it (RFC 3834 §5)
     */
    private function __construct(
        public ?string $id,
        public string $from,
        public string $to,
        public string $subject,
        public string $text,
        public ?string $html,
        public ?DeliveryReport $report,
        public ?string $answers,
        public bool $isAutomatic,
    ) {
    }

    /**
     * Foreign bytes are no error: what can't be read reads as empty.
     *
     * @param  string  $raw  as it came over SMTP or POP3, dots already undone
     *
     * @throws MailError when it is too long
     */
    public static function read(string $raw, int $limit = self::LIMIT): self
    {
        if (strlen($raw) > $limit) {
            throw MailError::tooLong(strlen($raw), $limit);
        }
        $mail = mailparse_msg_create();
        mailparse_msg_parse($mail, $raw);
        $found = [];
        foreach (array_slice(mailparse_msg_get_structure($mail), 0, self::PARTS) as $number) {
            $part = is_string($number) ? mailparse_msg_get_part($mail, $number) : null;
            $data = is_resource($part) ? mailparse_msg_get_part_data($part) : [];
            $type = strtolower(self::text($data['content-type'] ?? null));
            // The first of each kind counts; what comes back inside another letter is not this one's.
            if (
                is_resource($part) &&
                ! isset($found[$type]) &&
                in_array($type, ['text/plain', 'text/html', 'message/delivery-status', 'message/rfc822', 'text/rfc822-headers'], true)
            ) {
                $content = '';
                mailparse_msg_extract_part($part, $raw, function (string $bytes) use (&$content): void {
                    $content .= $bytes;
                });
                $found[$type] = self::inUtf8($content, self::text($data['content-charset'] ?? ($data['charset'] ?? null)));
            }
        }
        $head = mailparse_msg_get_part_data($mail);
        $headers = is_array($head['headers'] ?? null) ? $head['headers'] : [];
        $header = fn (string $name): string => PlainText::line(
            self::decoded(self::text(is_array($headers[$name] ?? null) ? $headers[$name][0] ?? null : $headers[$name] ?? null)),
            self::HEADER,
        );
        $isReport =
            strcasecmp(self::text($head['content-type'] ?? null), 'multipart/report') === 0 && isset($found['message/delivery-status']);
        $letter = new self(
            self::id($header('message-id')),
            $header('from'),
            $header('to'),
            $header('subject'),
            $found['text/plain'] ?? '',
            $found['text/html'] ?? null,
            $isReport
                ? DeliveryReport::of($found['message/delivery-status'], $found['message/rfc822'] ?? ($found['text/rfc822-headers'] ?? ''))
                : null,
            self::id($header('in-reply-to')),
            ! in_array(strtolower(trim(explode(';', $header('auto-submitted'))[0])), ['', 'no'], true),
        );
        mailparse_msg_free($mail);

        return $letter;
    }

    /** Whose mailbox it is from, in small letters; null: it names none. */
    public function sender(): ?string
    {
        return preg_match('/<([^<>\s]+@[^<>\s]+)>\s*$|^\s*([^<>\s]+@[^<>\s]+)\s*$/', $this->from, $found) === 1
            ? mb_strtolower($found[1] === '' ? $found[2] ?? '' : $found[1])
            : null;
    }

    /** @return string|null without brackets; null: there is none */
    public static function id(string $header): ?string
    {
        $id = trim($header, " \t\r\n<>");

        return $id === '' ? null : $id;
    }

    /**
     * Encoded words (RFC 2047): what stands between two of them is nothing, between one and a plain word a blank. PHP's own decoders lose
     * one or the other.
     */
    private static function decoded(string $header): string
    {
        $joined = (string) preg_replace('/(\?=)\s+(?==\?)/', '$1', mb_scrub($header));

        return (string) preg_replace_callback(
            '/=\?([\w.:-]+)(?:\*[\w-]*)?\?([bq])\?([^?]*)\?=/i',
            fn (array $word): string => self::inUtf8(
                strtolower($word[2]) === 'b' ? (string) base64_decode($word[3], true) : quoted_printable_decode(strtr($word[3], '_', ' ')),
                $word[1],
            ),
            $joined,
        );
    }

    private static function inUtf8(string $text, string $charset): string
    {
        try {
            return PlainText::lines(
                (string) mb_convert_encoding(
                    $text,
                    'UTF-8',
                    $charset === '' || strcasecmp($charset, 'us-ascii') === 0 ? 'UTF-8' : $charset,
                ),
            );
        } catch (ValueError) {
            return PlainText::lines($text);
        }
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }
}
