<?php

declare(strict_types=1);

// Makes core/Contact/Data/countries.php from Debian's iso-codes: php bin/countries.php /usr/share/iso-codes/json/iso_3166-1.json VERSION >
// core/Contact/Data/countries.php

$read = json_decode((string) file_get_contents($argv[1]), true);
$codes = array_column($read['3166-1'], 'alpha_2');
sort($codes);
echo "<?php\n\n// ISO 3166-1 alpha-2, from iso-codes {$argv[2]} (LGPL-2.1+).\n\nreturn [\n";
foreach (array_chunk($codes, 25) as $some) {
    echo '    ', implode(', ', array_map(fn (string $code): string => "'{$code}' => true", $some)), ",\n";
}
echo "];\n";
