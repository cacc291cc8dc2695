<?php

declare(strict_types=1);

namespace Acre\Wire\Mail;

/** What a mail server says became of a letter that it had taken (RFC 3464). */
final readonly class DeliveryReport
{
    /**
     * @param  string|null  $letter  the Message-ID of the letter that it is about, without brackets; null: it does not say
     * @param  string  $recipient  the mailbox, as the server knows it
     * @param  string  $action  `failed`, `delayed`, `delivered`, `relayed` or `expanded` (§2.3.3)
     * @param  string  $status  like `5.1.1` (RFC 3463)
     * @param  string  $words  what the server that refused it said
     */
    private function __construct(
        public ?string $letter,
        public string $recipient,
        public string $action,
        public string $status,
        public string $words,
    ) {
    }

    /**
     * Of several recipients the first that failed counts: a letter of ours has one.
     *
     * @param  string  $status  the part message/delivery-status
     * @param  string  $original  the letter that came back, or its headers; empty where it did not
     */
    public static function of(string $status, string $original): self
    {
        $groups = array_map(self::fields(...), self::split('/\R[ \t]*\R/', trim($status)));
        $recipients = array_values(array_filter($groups, fn (array $fields): bool => isset($fields['final-recipient'])));
        $failed = array_values(array_filter($recipients, fn (array $fields): bool => strtolower($fields['action'] ?? '') === 'failed'));
        $fields = $failed[0] ?? ($recipients[0] ?? []);
        $headers = self::fields(explode("\n\n", str_replace("\r\n", "\n", ltrim($original)), 2)[0]);

        return new self(
            MailLetter::id($headers['message-id'] ?? ''),
            self::typed($fields['original-recipient'] ?? ($fields['final-recipient'] ?? '')),
            strtolower($fields['action'] ?? ''),
            explode(' ', $fields['status'] ?? '')[0],
            mb_scrub(self::typed($fields['diagnostic-code'] ?? '')),
        );
    }

    /** Whether it will not arrive any more. */
    public function isEnd(): bool
    {
        return $this->action === 'failed';
    }

    /** @return array<string, string> by name in small letters, folded lines joined; the first of each counts */
    private static function fields(string $lines): array
    {
        $fields = [];
        foreach (self::split('/\R/', (string) preg_replace('/\R[ \t]+/', ' ', $lines)) as $line) {
            [$name, $value] = [...explode(':', $line, 2), ''];
            $fields[strtolower(trim($name))] ??= trim($value);
        }

        return $fields;
    }

    /** @return list<string> */
    private static function split(string $at, string $text): array
    {
        $parts = preg_split($at, $text, -1, PREG_SPLIT_NO_EMPTY);

        return $parts === false ? [] : $parts;
    }

    /** `rfc822; a@b.example` is a type and a value (§2.1.2). */
    private static function typed(string $value): string
    {
        return trim((string) preg_replace('/^[\w-]+;/', '', $value));
    }
}
