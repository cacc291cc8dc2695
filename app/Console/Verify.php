<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Proofs\VerifyProofs;
use Illuminate\Console\Command;

/** `./acre verify`: whether every proof still is what it was when it was made. */
final class Verify extends Command
{
    protected $signature = 'acre:verify';

    protected $description = 'Walk the chain of proofs and say what was changed since';

    public function handle(VerifyProofs $verify): int
    {
        $walked = $faults = 0;
        foreach ($verify->handle() as [$of, $fault]) {
            $walked++;
            if ($fault !== null) {
                $faults++;
                $this->error(ucfirst($of).": {$fault}.");
            }
        }
        $this->line(match (true) {
            $walked === 0 => 'There is no proof yet.',
            $faults === 0 => number_format($walked).($walked === 1 ? ' proof, and it is whole.' : ' proofs, and the chain is whole.'),
            default => number_format($walked).' proofs, '.number_format($faults).' of them changed.',
        });

        return $faults === 0 ? self::SUCCESS : self::FAILURE;
    }
}
