<?php

declare(strict_types=1);

namespace Acre\Wire\Lists\Spout;

use DOMElement;
use OpenSpout\Reader\ODS\Helper\CellValueFormatter;

/** An amount keeps its currency apart (OpenDocument 1.3 part 3, §19.387). */
final class OdsCells extends CellValueFormatter
{
    /** @param  DOMElement  $node */
    protected function formatCurrencyCellValue($node): string
    {
        $number = $this->formatFloatCellValue($node);
        $currency = $node->getAttribute(self::XML_ATTRIBUTE_CURRENCY);

        return preg_match('/^[A-Z]{3}$/D', $currency) === 1 ? MoneyCell::text($number, $currency) : (string) $number;
    }
}
