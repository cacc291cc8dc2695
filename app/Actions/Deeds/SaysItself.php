<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Models\Docket;

/** A deed's heading and line, from its words in lang/en/deeds.php. */
trait SaysItself
{
    public function headline(array $terms, int $names): string
    {
        $said = trans_choice('deeds.'.static::key().'.headline', $names, ['names' => number_format($names), ...$this->inWords($terms)]);

        return $said;
    }

    public function inOneLine(Docket $docket): string
    {
        $said = __('deeds.'.static::key().'.one_line', $this->inWords($docket->terms));

        return is_string($said) ? $said : static::key();
    }

    /**
     * The terms as the words of its heading need them.
     *
     * @param  array<string, mixed>  $terms
     * @return array<string, string>
     */
    abstract protected function inWords(array $terms): array;
}
