<?php

declare(strict_types=1);

namespace Standin\Dns;

use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\ResponseCode;

/** An answer while it is being put together. */
final class Reply
{
    public int $code = ResponseCode::OK;

    public bool $isAuthoritative = false;

    /** @var list<Record> */
    public array $answers = [];

    /** @var list<Record> */
    public array $authority = [];

    /** @var list<Record> */
    public array $additional = [];

    /** The zone that says it, where it is signed. */
    public ?SignedZone $by = null;

    /** @var array<string, string> the wildcard, by each name that it answers for */
    public array $wild = [];

    /** @var list<int> types that the name asked for has, where it has not that one */
    public array $has = [];

    /** Of a name that is not: the name nearest to the zone that is not either, and the one above it, which is. */
    public string $nearest = '';

    public string $closest = '';

    /** The name that a part is delegated under; empty: none is. */
    public string $cut = '';

    /** @var list<Record> what is said of its keys (DS) */
    public array $delegates = [];
}
