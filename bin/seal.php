<?php

declare(strict_types=1);

// Seals its input under the passphrase in ACRE_PASSPHRASE, or opens what was sealed; called by bin/kept.sh.

use Acre\Wire\Sealed\Sealed;
use Acre\Wire\Sealed\SealedError;

require __DIR__.'/../vendor/autoload.php';

$passphrase = getenv('ACRE_PASSPHRASE');
$arguments = $_SERVER['argv'] ?? [];
$how = is_array($arguments) ? $arguments[1] ?? '' : '';
if (! is_string($passphrase) || strlen($passphrase) < 12) {
    fwrite(STDERR, "acre: a passphrase of at least 12 characters is needed.\n");
    exit(2);
}
try {
    $how === 'open' ? Sealed::open(STDIN, STDOUT, $passphrase) : Sealed::seal(STDIN, STDOUT, $passphrase);
} catch (SealedError $e) {
    fwrite(STDERR, 'acre: '.$e->getMessage()."\n");
    exit(1);
}
