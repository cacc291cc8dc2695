<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

/** A host of a name, and what visitors should find there: pages kept at a place, or a redirect. */
final readonly class Site
{
    /**
     * @param  string  $zone  the name that it belongs to
     * @param  string  $label  what stands before the name; empty: nothing
     * @param  Place|null  $place  null: nobody said where it is kept
     * @param  Redirect|null  $redirect  null: it has pages of its own
     */
    public function __construct(public string $zone, public string $label, public ?Place $place, public ?Redirect $redirect)
    {
    }

    public function host(): string
    {
        return $this->label === '' ? $this->zone : "{$this->label}.{$this->zone}";
    }
}
