<?php

declare(strict_types=1);

// How postcodes look, by country: what a whole one must match, in capitals. From memory of the postal services' own
// pages, to be checked there before anybody relies on them; a country that is not here takes any. '' has none.

return [
    'AE' => '', 'AG' => '', 'AO' => '', 'AW' => '', 'BJ' => '', 'BO' => '', 'BS' => '', 'BZ' => '', 'CM' => '', 'DJ' => '', 'DM' => '', 'FJ' => '', 'GD' => '', 'GM' => '', 'GY' => '',
    'HK' => '', 'MO' => '', 'QA' => '', 'RW' => '', 'SC' => '', 'SR' => '', 'TO' => '', 'TV' => '', 'UG' => '', 'VU' => '', 'YE' => '', 'ZW' => '',
    'AD' => 'AD\d{3}', 'AR' => '([A-Z]\d{4}[A-Z]{3}|\d{4})', 'AT' => '\d{4}', 'AU' => '\d{4}', 'BE' => '\d{4}', 'BG' => '\d{4}', 'BR' => '\d{5}-?\d{3}', 'CA' => '[ABCEGHJ-NPRSTVXY]\d[A-Z] ?\d[A-Z]\d',
    'CH' => '\d{4}', 'CN' => '\d{6}', 'CY' => '\d{4}', 'CZ' => '\d{3} ?\d{2}', 'DE' => '\d{5}', 'DK' => '\d{4}', 'EE' => '\d{5}', 'ES' => '\d{5}', 'FI' => '\d{5}', 'FO' => '\d{3}', 'FR' => '\d{5}',
    'GB' => '([A-Z]{1,2}\d[A-Z\d]? ?\d[A-Z]{2}|GIR ?0AA)', 'GG' => 'GY\d{1,2} ?\d[A-Z]{2}', 'GI' => 'GX11 ?1AA', 'GL' => '39\d{2}', 'GR' => '\d{3} ?\d{2}', 'HR' => '\d{5}', 'HU' => '\d{4}',
    'IE' => '([AC-FHKNPRTV-Y]\d{2}|D6W) ?[0-9AC-FHKNPRTV-Y]{4}', 'IL' => '(\d{5}|\d{7})', 'IM' => 'IM\d{1,2} ?\d[A-Z]{2}', 'IN' => '[1-9]\d{2} ?\d{3}', 'IS' => '\d{3}', 'IT' => '\d{5}', 'JE' => 'JE\d{1,2} ?\d[A-Z]{2}',
    'JP' => '\d{3}-?\d{4}', 'KR' => '\d{5}', 'LI' => '94\d{2}', 'LT' => '(LT-)?\d{5}', 'LU' => '(L-)?\d{4}', 'LV' => '(LV-)?\d{4}', 'MC' => '980\d{2}', 'MT' => '[A-Z]{3} ?\d{4}', 'MX' => '\d{5}', 'MY' => '\d{5}',
    'NL' => '[1-9]\d{3} ?[A-Z]{2}', 'NO' => '\d{4}', 'NZ' => '\d{4}', 'PH' => '\d{4}', 'PL' => '\d{2}-?\d{3}', 'PT' => '\d{4}-?\d{3}', 'RO' => '\d{6}', 'RS' => '\d{5,6}', 'RU' => '\d{6}', 'SE' => '\d{3} ?\d{2}',
    'SG' => '\d{6}', 'SI' => '(SI-)?\d{4}', 'SK' => '\d{3} ?\d{2}', 'SM' => '4789\d', 'TH' => '\d{5}', 'TR' => '\d{5}', 'TW' => '\d{3}(-?\d{2,3})?', 'UA' => '\d{5}', 'US' => '\d{5}(-?\d{4})?', 'VA' => '00120', 'ZA' => '\d{4}',
];
