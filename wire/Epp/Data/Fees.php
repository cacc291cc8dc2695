<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;

/** What a command costs or has cost (RFC 8748 §3.4). Sums are decimals as the server wrote them. */
final readonly class Fees
{
    /**
     * @param  string|null  $currency  ISO 4217
     * @param  list<string>  $fees
     * @param  list<string>  $credits  below nothing
     * @param  string|null  $class  `standard`, or what the server calls the dearer ones
     * @param  bool  $isStandard  whether the server says that it is no dearer than others
     * @param  string|null  $balance  what the account holds afterwards
     * @param  string|null  $reason  why there is no fee
     */
    private function __construct(
        public ?string $currency,
        public array $fees,
        public array $credits,
        public ?string $class,
        public bool $isStandard,
        public ?string $balance,
        public ?string $reason,
    ) {
    }

    /**
     * Of an answer to a check.
     *
     * @return array<string, array<string, self>> by name in small letters and by command; what has no fee says why
     */
    public static function allOf(EppResponse $response): array
    {
        $fee = EppNamespace::Fee->value;
        $data = $response->extension(EppNamespace::Fee, 'chkData');
        $found = [];
        foreach ($data?->children($fee, 'cd') ?? [] as $checked) {
            $name = strtolower($checked->textOf($fee, 'objID'));
            $found[$name] = [];
            foreach ($checked->children($fee, 'command') as $command) {
                $found[$name][$command->attribute('name') ?? ''] = self::read(
                    $command,
                    $data?->textOrNull($fee, 'currency'),
                    $checked->textOrNull($fee, 'class'),
                );
            }
        }

        return $found;
    }

    /** Of an answer to a create, a renewal, a transfer, a deletion or an update; null: the server says nothing of it. */
    public static function charged(EppResponse $response): ?self
    {
        foreach (['creData', 'renData', 'trnData', 'delData', 'updData'] as $name) {
            $data = $response->extension(EppNamespace::Fee, $name);
            if ($data !== null) {
                return self::read($data, $data->textOrNull(EppNamespace::Fee->value, 'currency'), null);
            }
        }

        return null;
    }

    private static function read(XmlNode $node, ?string $currency, ?string $class): self
    {
        $fee = EppNamespace::Fee->value;
        $sums = fn (string $name): array => array_map(
            fn (string $sum): string => preg_match('/^-?\d{1,12}(\.\d{1,6})?$/D', $sum) === 1
                ? $sum
                : throw XmlError::wrong("{$node->path()}/{$name}", 'a sum', $sum),
            $node->texts($fee, $name),
        );

        return new self(
            $currency,
            $sums('fee'),
            $sums('credit'),
            $class,
            in_array($node->attribute('standard'), ['1', 'true'], true),
            $sums('balance')[0] ?? null,
            $node->textOrNull($fee, 'reason'),
        );
    }
}
