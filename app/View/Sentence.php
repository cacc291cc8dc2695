<?php

declare(strict_types=1);

namespace App\View;

use Illuminate\Contracts\Translation\Translator;
use Illuminate\Support\HtmlString;
use Illuminate\View\ComponentSlot;

/** A whole sentence of lang/ that has markup among its values, so that translators see one sentence and not its pieces. */
final readonly class Sentence
{
    public function __construct(private Translator $lang)
    {
    }

    /**
     * @param  array<string, string|int|float|null>  $with  plain values, escaped
     * @param  array<array-key, mixed>  $slots  values with markup, by the name of their placeholder
     * @param  int|null  $count  chooses between “one” and “many”; null: the sentence has one form
     */
    public function html(string $key, array $with, array $slots, ?int $count = null): HtmlString
    {
        $marks = [];
        foreach ($slots as $name => $slot) {
            if ($slot instanceof ComponentSlot && is_string($name) && $name !== '__default') {
                $marks["\x02{$name}\x03"] = trim($slot->toHtml());
                $with[$name] = "\x02{$name}\x03";
            }
        }
        $said = $count === null ? $this->lang->get($key, $with) : $this->lang->choice($key, $count, $with);

        return new HtmlString(strtr(e(is_string($said) ? $said : $key), $marks));
    }
}
