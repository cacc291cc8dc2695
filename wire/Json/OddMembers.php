<?php

declare(strict_types=1);

namespace Acre\Wire\Json;

/** What was passed over while a text was read leniently, for all of its objects. */
final class OddMembers
{
    /** Sentences that are kept: who sends more is not quoted further. */
    private const MOST = 20;

    /** @var list<string> */
    public array $said = [];

    public function note(string $sentence): void
    {
        if (count($this->said) < self::MOST && ! in_array($sentence, $this->said, true)) {
            $this->said[] = $sentence;
        }
    }
}
