<?php

declare(strict_types=1);

namespace App\Console;

use Acre\Wire\Stamp\StampQuery;
use App\Actions\Proofs\StoreHead;
use Illuminate\Console\Command;
use RuntimeException;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * `./acre receipt`: the head of the records, signed, to be kept elsewhere; or, for one that was kept, what a time-stamping service is asked
 * with.
 */
final class Receipt extends Command
{
    protected $signature = 'acre:receipt {--stamp-request : of the receipt that comes in, a request of RFC 3161} {--begin-again : the '
        .'records were put back by other means; what was kept before no longer counts}';

    protected $description = 'Print the head of the records, signed';

    public function handle(StoreHead $head): int
    {
        if ($this->option('stamp-request') === true) {
            $this->output->write(StampQuery::of(hash('sha256', (string) stream_get_contents(STDIN))), false, OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }
        try {
            $this->option('begin-again') === true ? $head->beginAgain() : $head->keep();
        } catch (RuntimeException $said) {
            $this->error($said->getMessage());

            return self::FAILURE;
        }
        $kept = $head->kept();
        if ($kept === null) {
            $this->error('No head of the records could be kept; the log of the house’s own faults says why.');

            return self::FAILURE;
        }
        $this->output->write($kept, false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
