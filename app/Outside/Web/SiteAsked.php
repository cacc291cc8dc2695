<?php

declare(strict_types=1);

namespace App\Outside\Web;

/** A host whose pages are asked for. */
final readonly class SiteAsked
{
    /**
     * @param  int  $key  whoever asks tells them apart by it
     * @param  string  $host  A-labels
     * @param  bool  $isRedirect  whether it is to lead elsewhere, so that it is asked for a page below too
     */
    public function __construct(public int $key, public string $host, public bool $isRedirect)
    {
    }
}
