<?php

declare(strict_types=1);

namespace Standin\Counter;

use Standin\Control\Sheet;
use Standin\Http\HttpResponse;
use Standin\Registry\Registered;
use Standin\Registry\Registrar;
use Standin\World;

/** Where the link in a losing registrar's own letter leads: the holder approves a transfer, or refuses it. */
final readonly class MovePages
{
    public function __construct(private World $world, private string $key)
    {
    }

    public function show(string $path): HttpResponse
    {
        $name = $this->asked($path);
        if ($name?->transfer === null) {
            return Sheet::page('This transfer is over', '<p>It was answered, withdrawn, or went through by itself.</p>', status: 404);
        }

        return Sheet::page(
            "{$name->name} is to go to another registrar",
            '<p>From '.Sheet::esc(Registrar::of($name->registrar)->name).', by itself on '.gmdate('j F Y', $name->transfer->by)
                .'.</p><form method=post><input type=hidden name=key value="'.Sheet::esc($this->key).'">'
                .'<p><button name=answer value=approve>Approve it now</button> '
                .'<button name=answer value=reject>Refuse it</button></p></form>',
        );
    }

    /** @param  array<string, string>  $form */
    public function answer(string $path, array $form): HttpResponse
    {
        $name = $this->asked($path);
        if ($name?->transfer === null) {
            return $this->show($path);
        }
        $isNo = ($form['answer'] ?? '') === 'reject';
        $this->world->endTransfer($name, $isNo ? 'clientRejected' : 'clientApproved', $this->world->now());
        $this->world->change($name);

        return Sheet::page($isNo ? 'It stays where it is' : 'It is on its way', "<p>{$name->name}</p>");
    }

    private function asked(string $path): ?Registered
    {
        $name = $this->world->store->told('move '.hash('sha256', substr($path, strlen('/move/'))));

        return $name === null ? null : $this->world->store->name($name);
    }
}
