<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Movement\ExtraKind;

/** The side where a name lies, as far as a transfer asks about it. */
final readonly class Losing
{
    /**
     * @param  bool  $isOurs  whether we act there, and can lift its lock and ask for its code
     * @param  bool|null  $renewsItself  whether auto-renew is on there; null: not known
     * @param  list<ExtraKind>  $extras  what was bought with the name there, and ends when it goes
     */
    public function __construct(
        public string $registrar,
        public bool $isOurs,
        public ?bool $renewsItself = null,
        public array $extras = [],
    ) {
    }
}
