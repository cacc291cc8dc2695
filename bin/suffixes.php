<?php

declare(strict_types=1);

// Makes core/Name/Data/icann-suffixes.php from a public suffix list: php bin/suffixes.php LIST VERSION > core/Name/Data/icann-suffixes.php
// Only the section of suffixes that registries run (ICANN) is kept; what private owners delegate is not a registry's.

$text = (string) file_get_contents($argv[1]);
preg_match('~===BEGIN ICANN DOMAINS===(.*)===END ICANN DOMAINS===~s', $text, $found);
$rules = [];
foreach (explode("\n", $found[1] ?? '') as $line) {
    $line = trim($line);
    if ($line === '' || str_starts_with($line, '//')) {
        continue;
    }
    $kind = match ($line[0]) {
        '!' => 2, '*' => 1, default => 0
    };
    $suffix = $kind === 1 ? substr($line, 2) : ltrim($line, '!');
    $ascii = idn_to_ascii($suffix, IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);
    $rules[(string) $ascii] = ($rules[(string) $ascii] ?? 0) | [1, 2, 4][$kind];
}
ksort($rules);
echo "<?php\n\n// The public suffix list's ICANN section, version {$argv[2]}, MPL-2.0 (https://publicsuffix.org/list/).\n";
echo "// Made by bin/suffixes.php. 1: the suffix itself; 2: any label below it is one (*.); 4: this name is not one (!).\n\nreturn [\n";
$entries = array_map(fn (string $suffix, int $flags): string => "'{$suffix}' => {$flags},", array_keys($rules), $rules);
foreach (array_chunk($entries, 40) as $line) {
    echo implode(' ', $line), "\n";
}
echo "];\n";
