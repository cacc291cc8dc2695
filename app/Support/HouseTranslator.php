<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Contracts\Translation\Loader;
use Illuminate\Translation\Translator;

/** The framework's own, which also knows what those we serve are called: `:served`, `:Served`, `:served_many`. */
final class HouseTranslator extends Translator
{
    /** @param  Closure(): HouseSettings  $house  asked anew each time, as settings are read once a page or job */
    public function __construct(Loader $loader, string $locale, private readonly Closure $house)
    {
        parent::__construct($loader, $locale);
        $this->setFallback(Language::English->value);
    }

    /**
     * @param  string  $line
     * @param  array<mixed>  $replace
     */
    protected function makeReplacements($line, array $replace): string
    {
        if (stripos($line, ':served') !== false) {
            $served = ($this->house)()->served();
            $replace += ['served' => $served->one(), 'served_many' => $served->many()];
        }

        return parent::makeReplacements($line, $replace);
    }
}
