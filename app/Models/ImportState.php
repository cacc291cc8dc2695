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
    case Failed = 'failed';

    public function isWorking(): bool
    {
        return $this === self::Reading || $this === self::Writing;
    }
}
