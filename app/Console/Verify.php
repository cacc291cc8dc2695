<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Proofs\StoreHead;
use App\Actions\Proofs\VerifyProofs;
use App\Actions\Proofs\VerifyRecords;
use Illuminate\Console\Command;

/** `./acre verify`: whether every proof, every closed day of the log and the head of the records still are what they were. */
final class Verify extends Command
{
    protected $signature = 'acre:verify {--against : hold it against the receipt that comes in, and not against the head that was kept}';

    protected $description = 'Walk the chain of proofs and say what was changed since';

    public function handle(VerifyProofs $verify, VerifyRecords $records, StoreHead $kept): int
    {
        $walked = $faults = 0;
        foreach ($verify->handle() as [$of, $fault]) {
            $walked++;
            if ($fault !== null) {
                $faults++;
                $this->error(ucfirst($of).": {$fault}.");
            }
        }
        $this->line(
            match (true) {
                $walked === 0 => 'There are no proofs yet.',
                $faults === 0 => number_format($walked).($walked === 1 ? ' proof, unchanged.' : ' proofs; the chain is unbroken.'),
                $faults === 1 => number_format($walked).' proofs, 1 of them was changed.',
                default => number_format($walked).' proofs, '.number_format($faults).' of them were changed.',
            },
        );
        $found = 0;
        foreach ($records->handle($this->option('against') === true ? self::given() : $kept->kept()) as $fault) {
            $found++;
            $this->error(ucfirst($fault).'.');
        }
        $this->line(
            $found === 0
                ? 'The log and the head of the records are unchanged.'
                : number_format($found).($found === 1 ? ' problem' : ' problems').' in the records.',
        );

        return $faults + $found === 0 ? self::SUCCESS : self::FAILURE;
    }

    private static function given(): ?string
    {
        $text = (string) stream_get_contents(STDIN);

        return $text === '' ? null : $text;
    }
}
