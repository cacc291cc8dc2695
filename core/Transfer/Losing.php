<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

/** The side where a name lies, as far as a transfer asks about it. */
final readonly class Losing
{
    /**
     * @param  bool  $isOurs  whether we act there, and can lift its lock and ask for its code
     * @param  bool|null  $renewsItself  whether auto-renew is on there; null: not known
     */
    public function __construct(public string $registrar, public bool $isOurs, public ?bool $renewsItself = null)
    {
    }
}
