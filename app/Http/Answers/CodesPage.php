<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Actions\Transfer\HandOutCodes;
use App\Models\Link;

/** Whoever has names transferred away reads their auth codes, once. */
final readonly class CodesPage implements AnswerPage
{
    public function __construct(private HandOutCodes $codes)
    {
    }

    public function show(Link $link): ?array
    {
        $names = $link->docket_id === null ? [] : $this->codes->names($link->docket_id);

        return $names === [] ? null : ['answers.codes', ['names' => $names, 'codes' => null]];
    }

    public function store(Link $link, string $token, TypedAnswer $typed): ?array
    {
        $codes = $this->codes->show($token);

        return $codes === null ? null : ['answers.codes', ['names' => array_keys($codes), 'codes' => $codes]];
    }
}
