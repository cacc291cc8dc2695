<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use Acre\Wire\Xml\XmlNode;
use DateTimeImmutable;
use Exception;

/** What was taken from an account, or paid in: docs/account-extension.md. The sum is a decimal as the server wrote it. */
final readonly class AccountEntry
{
    /**
     * @param  string  $kind  `add`, `renew`, `transfer`, `restore`, `top_up`, `refund`, or a server's own word
     * @param  string|null  $name  A-labels; null: it is for none
     * @param  string  $amount  below nothing: taken
     * @param  string  $currency  ISO 4217
     */
    private function __construct(
        public string $id,
        public string $kind,
        public ?string $name,
        public string $amount,
        public string $currency,
        public ?DateTimeImmutable $at,
    ) {
    }

    /** @return list<self> as they come */
    public static function allOf(EppResponse $response): array
    {
        $own = EppNamespace::Account->value;

        return array_map(
            function (XmlNode $entry): self {
                $name = $entry->attribute('name') ?? '';

                return new self(
                    $entry->attribute('id') ?? '',
                    $entry->attribute('kind') ?? '',
                    $name === '' ? null : strtolower($name),
                    trim($entry->text()),
                    $entry->attribute('currency') ?? '',
                    self::time($entry->attribute('at') ?? ''),
                );
            },
            $response->objectOrNull(EppNamespace::Account, 'infData')?->childOrNull($own, 'entries')?->children($own, 'entry') ?? [],
        );
    }

    /** Whether there are more after these. */
    public static function areMore(EppResponse $response): bool
    {
        $entries = $response->objectOrNull(EppNamespace::Account, 'infData')?->childOrNull(EppNamespace::Account->value, 'entries');

        return in_array($entries?->attribute('more'), ['1', 'true'], true);
    }

    private static function time(string $text): ?DateTimeImmutable
    {
        try {
            return preg_match('/^\d{4}-\d\d-\d\dT[\d:.]+Z$/D', $text) === 1 ? new DateTimeImmutable($text) : null;
        } catch (Exception) {
            return null;
        }
    }
}
