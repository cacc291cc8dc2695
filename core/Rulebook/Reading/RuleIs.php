<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook\Reading;

use Acre\Core\Rulebook\EndPhase;
use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Rulebook\Published;
use Acre\Core\Rulebook\RegistrantConfirms;
use Acre\Core\Rulebook\Roles;
use ValueError;

/**
 * What a rule is called in a suffix's file, and how its value is read there. It stands beside the rule in `RuleSet`, which is the
 * one place where a rule is added; its words stand in `lang/en/rulebook.php` under the same name, its shape in `rulebook/schema.json`.
 */
interface RuleIs
{
    public function key(): string;

    /**
     * @return int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase> of the type that the rule declares
     *
     * @throws ValueError saying what is expected
     */
    public function read(mixed $given): int|bool|MovesBy|RegistrantConfirms|Roles|Published|array;
}
