<?php

declare(strict_types=1);

// Makes core/Name/Data/icann-suffixes.dat from a public suffix list: php bin/suffixes.php LIST VERSION > core/Name/Data/icann-suffixes.dat
// Only the section of suffixes that registries run (ICANN) is kept; what private owners delegate is not a registry's.

preg_match('~===BEGIN ICANN DOMAINS===(.*)===END ICANN DOMAINS===~s', (string) file_get_contents($argv[1]), $found);
echo "// The public suffix list's ICANN section, version {$argv[2]}, MPL-2.0 (https://publicsuffix.org/list/), in A-labels.\n";
$rules = [];
foreach (explode("\n", $found[1] ?? '') as $line) {
    $line = trim($line);
    if ($line !== '' && ! str_starts_with($line, '//')) {
        preg_match('/^(!|\*\.)?(.*)$/', $line, $rule);
        $rules[] = $rule[1].idn_to_ascii($rule[2], IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);
    }
}
foreach (array_chunk($rules, 50) as $some) {
    echo implode(' ', $some), "\n";
}
