<?php

declare(strict_types=1);

namespace Acre\Wire\Lists\Spout;

use Acre\Wire\Lists\NumberFormat;
use OpenSpout\Reader\XLSX\Manager\StyleManager;

/** The library's own judgement takes `#,##0.00 "USD"` for a date, and tells nobody of the currency. */
final class XlsxStyles extends StyleManager
{
    /** @var array<int, string|null> by the style's number */
    private array $currencies = [];

    public function currency(int $style): ?string
    {
        if (! array_key_exists($style, $this->currencies)) {
            $attributes = $this->hasStylesXMLFile ? $this->getStylesAttributes()[$style] ?? null : null;
            $format = is_array($attributes) ? $attributes[self::XML_ATTRIBUTE_NUM_FMT_ID] ?? null : null;
            $code = is_int($format) ? $this->getFormatCodeForNumFmtId($format) : null;
            $this->currencies[$style] = is_string($code) ? NumberFormat::currency($code) : null;
        }

        return $this->currencies[$style];
    }

    /** @param  string  $formatCode */
    protected function isFormatCodeMatchingDateFormatPattern($formatCode): bool
    {
        return NumberFormat::isDate($formatCode);
    }
}
