<?php

declare(strict_types=1);

namespace Acre\Wire\Lists\Spout;

use DateTime;
use DOMElement;
use OpenSpout\Reader\XLSX\Helper\CellValueFormatter;

/** A number keeps the currency of its format. */
final class XlsxCells extends CellValueFormatter
{
    /** @param  DOMElement  $node */
    public function extractAndFormatNodeValue($node): bool|DateTime|float|int|string
    {
        $value = parent::extractAndFormatNodeValue($node);
        $style = $node->getAttribute(self::XML_ATTRIBUTE_STYLE_ID);
        $currency =
            (is_int($value) || is_float($value)) && $style !== '' && $this->styleManager instanceof XlsxStyles
                ? $this->styleManager->currency((int) $style)
                : null;

        return $currency === null || ! (is_int($value) || is_float($value)) ? $value : MoneyCell::text($value, $currency);
    }
}
