<?php

declare(strict_types=1);

namespace Standin\Counter;

use Standin\Control\Sheet;
use Standin\Http\HttpResponse;
use Standin\Registry\Registered;
use Standin\Registry\Registrar;
use Standin\World;

/** Where the link in a registrar's own letter leads: whoever has the receiving account takes the name or refuses it. */
final readonly class OfferPages
{
    public function __construct(private World $world, private string $key)
    {
    }

    public function show(string $path, string $said = ''): HttpResponse
    {
        $name = $this->offered($path);
        if ($name?->handover === null) {
            return Sheet::page('This offer is over', '<p>It was answered, taken back, or nobody answered in time.</p>', status: 404);
        }
        $until = gmdate('j F Y', $name->handover->by);
        $field = fn (string $label, string $of): string => "<p><label>{$label} <input name={$of} size=30 autocomplete=off></label></p>";

        return Sheet::page(
            "{$name->name} is offered to your account",
            ($said === '' ? '' : '<p role=alert><strong>'.Sheet::esc($said).'</strong></p>').
                '<p>At '.
                Sheet::esc(Registrar::of($name->registrar)->name).
                ", until {$until}.</p><form method=post><input type=hidden name=key value=\"".
                Sheet::esc($this->key).
                '">'.
                $field('Number of your account', 'number').
                $field('Its login', 'login').
                '<p><button name=answer value=accepted>Take it</button> <button name=answer value=refused>Refuse it</button></p></form>',
            status: $said === '' ? 200 : 422,
        );
    }

    /** @param  array<string, string>  $form */
    public function answer(string $path, array $form): HttpResponse
    {
        $name = $this->offered($path);
        $to = $name?->handover === null ? null : $this->world->store->account($name->handover->to);
        if ($name === null || $to === null || trim($form['number'] ?? '') !== $to->number || trim($form['login'] ?? '') !== $to->login) {
            return $this->show($path, 'This number and this login do not belong to the account that it is offered to.');
        }
        $how = ($form['answer'] ?? '') === 'refused' ? 'refused' : 'accepted';
        $this->world->endHandover($name, $how, $this->world->now());
        $this->world->change($name);

        return Sheet::page($how === 'accepted' ? 'It is yours now' : 'It stays where it was', "<p>{$name->name} was {$how}.</p>");
    }

    private function offered(string $path): ?Registered
    {
        $name = $this->world->store->told('offer '.hash('sha256', substr($path, strlen('/offer/'))));

        return $name === null ? null : $this->world->store->name($name);
    }
}
