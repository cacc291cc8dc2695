<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Which way the rooms lean; run by PHPStan. */
final class RoomsTest
{
    public function test_core_knows_no_framework_no_database_and_no_other_room(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Acre\Core'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Acre\Core'),
                Selector::inNamespace('Brick\Math'),
                Selector::inNamespace('Symfony\Component\Yaml'),
                Selector::inNamespace('libphonenumber'),
            )
            ->because('core is given facts and an instant; it asks nobody');
    }

    public function test_wire_knows_bytes_and_not_rules(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Acre\Wire'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Acre\Wire'), Selector::inNamespace('OpenSpout'), Selector::inNamespace('Sabre\VObject'))
            ->because('wire turns text into values and back');
    }

    public function test_the_simulated_world_can_disagree_with_us(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Standin'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Standin'),
                Selector::inNamespace('Acre\Wire'),
                Selector::inNamespace('Acre\Core\Name'),
                Selector::inNamespace('React'),
                Selector::inNamespace('Evenement'),
                Selector::inNamespace('Opis'),
                Selector::inNamespace('Symfony\Component\Yaml'),
            )
            ->because('what knows our rules can only agree with them');
    }

    public function test_nobody_reaches_into_the_simulated_world(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Database'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Standin'))
            ->because('it is reached over its sockets only');
    }

    public function test_models_decide_nothing(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Models'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('App\Actions'),
                Selector::inNamespace('App\Queries'),
                Selector::inNamespace('App\Http'),
                Selector::inNamespace('Acre\Core\Lifecycle\Internal'),
            )
            ->because('models are tables, casts and relations');
    }

    public function test_actions_and_queries_know_no_pages(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Queries'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('Illuminate\Http'))
            ->because('a deed can be done from a page, a job or the front door alike');
    }
}
