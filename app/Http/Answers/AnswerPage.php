<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Link;

/** What is behind links of one purpose. The next one is one class, and one line in AnswerController. */
interface AnswerPage
{
    /** @return array{string, array<string, mixed>}|null its view and what that needs; null: there is nothing to answer any more */
    public function show(Link $link): ?array;

    /**
     * What was typed is carried out.
     *
     * @return string|array{string, array<string, mixed>}|null which page says so, a word under `letters.answer`, or a view with what that
     *     needs; null: the link is no longer valid
     *
     * @throws NotAnswered when it can't be, and the link is still good
     */
    public function store(Link $link, string $token, TypedAnswer $typed): string|array|null;
}
