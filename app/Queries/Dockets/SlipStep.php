<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

/** One thing to do at the registrar's page. */
final readonly class SlipStep
{
    /**
     * @param  string  $verb  its words stand in lang, under `words.leg`
     * @param  array<string, string>  $values  what the page asks for, ready to copy, by what it is called
     * @param  int  $place  which it is of all the steps of both sides, from 1
     * @param  bool  $showsNames  the lot's names are asked for here, one a line
     * @param  list<SlipLetter>  $letters  what the registrar then writes by itself
     */
    public function __construct(
        public string $verb,
        public array $values,
        public bool $showsNames,
        public array $letters = [],
        public int $place = 1,
    ) {
    }
}
