<?php

declare(strict_types=1);

// The lines that end ./acre test: counts from PHPUnit's own records; fails when one of them is missing or nothing ran.
$seconds = (int) ($argv[1] ?? 0);
$tests = $failed = $skipped = 0;
foreach (array_slice($argv, 2) as $file) {
    $xml = is_file($file) ? simplexml_load_file($file) : false;
    if ($xml === false || ! isset($xml->testsuite)) {
        echo "{$file} was not written\n";
        $failed++;

        continue;
    }
    $tests += (int) $xml->testsuite['tests'];
    $failed += (int) $xml->testsuite['failures'] + (int) $xml->testsuite['errors'];
    $skipped += (int) $xml->testsuite['skipped'];
}
printf("in %d s\n%d passed, %d failed, %d skipped\n", $seconds, max(0, $tests - $failed - $skipped), $failed, $skipped);
exit($tests - $skipped > 0 && $failed === 0 ? 0 : 1);
