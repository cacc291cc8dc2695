<?php

declare(strict_types=1);

namespace App\Support;

/**
 * A place in long work where a test may kill the worker, or the database, as a power cut would: `tests/Faults` does so at
 * each of them. Nothing happens here unless the process was started with ACRE_FAULT.
 */
enum Failpoint: string
{
    case ListChunkJudged = 'list_chunk_judged';
    case ListChunkKept = 'list_chunk_kept';
    case ListRead = 'list_read';
    case ListRowsLocked = 'list_rows_locked';
    case ListNamesWritten = 'list_names_written';
    case ListStandingsMade = 'list_standings_made';
    case ListRowsMarked = 'list_rows_marked';
    case ListChunkWritten = 'list_chunk_written';
    case ListRowsTakenBack = 'list_rows_taken_back';
    case ListChunkTakenBack = 'list_chunk_taken_back';
    case LinesLocked = 'lines_locked';
    case LineBegun = 'line_begun';
    case LinesStandingsMade = 'lines_standings_made';
    case LinesLogged = 'lines_logged';
    case LinesBegun = 'lines_begun';
    case DocketClosing = 'docket_closing';
    case DocketProven = 'docket_proven';
    case OrderMarked = 'order_marked';
    case OrderAnswered = 'order_answered';
    case MessageKept = 'message_kept';
    case AcceptedCarried = 'accepted_carried';
    case ConfirmedCarried = 'confirmed_carried';
    case LetterMarked = 'letter_marked';
    case LetterGiven = 'letter_given';

    public function reach(): void
    {
        Fault::planned()?->arrive($this->value);
    }
}
