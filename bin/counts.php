<?php

declare(strict_types=1);

// The one line that ends ./acre test: counts from PHPUnit's own record; fails when nothing ran.
$file = $argv[1] ?? '';
$xml = is_file($file) ? simplexml_load_file($file) : false;
if ($xml === false || ! isset($xml->testsuite)) {
    echo "0 passed, 0 failed\n";
    exit(1);
}
$suite = $xml->testsuite;
[$tests, $failed, $skipped] = [(int) $suite['tests'], (int) $suite['failures'] + (int) $suite['errors'], (int) $suite['skipped']];
printf("in %d s\n%d passed, %d failed, %d skipped\n", (int) ($argv[2] ?? 0), $tests - $failed - $skipped, $failed, $skipped);
exit($tests - $skipped > 0 && $failed === 0 ? 0 : 1);
