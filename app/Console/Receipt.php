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
    protected $signature = 'acre:receipt {--stamp-request : make an RFC 3161 request for the receipt on standard input}
        {--begin-again : the records were restored by other means; earlier receipts no longer count}';

    protected $description = 'Print a signed receipt of the records';

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
            $this->error('The head of the records could not be stored; the application’s error log says why.');

            return self::FAILURE;
        }
        $this->output->write($kept, false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
