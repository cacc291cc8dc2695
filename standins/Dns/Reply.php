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
}
