<?php

declare(strict_types=1);

namespace App\Models;

enum ImportState: string
{
    /** Its columns are to be matched. */
    case Uploaded = 'uploaded';
    case Reading = 'reading';
    /** Its preview is to be looked at. */
    case Read = 'read';
    case Writing = 'writing';
    case Done = 'done';
    case Undoing = 'undoing';
    /** Taken back. */
    case Undone = 'undone';
    case Failed = 'failed';

    public const WORKING = [self::Reading, self::Writing, self::Undoing];

    /** Whether nothing of it stands on the Roll, nor is about to. */
    public function isUnwritten(): bool
    {
        return in_array($this, [self::Uploaded, self::Read, self::Failed], true);
    }

    public function isWorking(): bool
    {
        return in_array($this, self::WORKING, true);
    }
}
