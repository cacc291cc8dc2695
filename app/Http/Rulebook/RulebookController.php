<?php

declare(strict_types=1);

namespace App\Http\Rulebook;

use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Rulebook\RuleSet;
use Acre\Core\Standing\Standing;
use Acre\Core\Title\Chain;
use App\Support\TradeClock;
use App\View\FolioDrawing;
use App\View\RuleInWords;
use App\View\Words;
use Illuminate\View\View;

/** The rulebook as people read it: a suffix a row, and one suffix with every edition, its mark and its source. */
final readonly class RulebookController
{
    public function __construct(private Rulebook $book, private TradeClock $clock, private Words $words)
    {
    }

    public function index(): View
    {
        $now = $this->clock->now();

        return view('rulebook.index', [
            'sets' => array_map(fn (string $suffix): RuleSet => $this->book->for($suffix, $now), $this->book->suffixes()),
            'words' => $this->words,
        ]);
    }

    public function show(string $suffix, WhatIfRequest $request): View
    {
        try {
            $name = DomainName::of('a-name.'.$suffix);
        } catch (NameError) {
            abort(404);
        }
        abort_unless($name->suffix() === $suffix, 404);
        $now = $this->clock->now();
        $life = Lifecycle::of($request->facts($name, $now->toDay()), $request->terms(), $this->book->for($suffix, $now), $now);

        return view('rulebook.show', [
            'suffix' => $suffix,
            'refused' => $request->refused(),
            'said' => $request->said(...),
            'editions' => $this->book->file($suffix)->editionsByKey(),
            'life' => $life,
            'standing' => Standing::of($life),
            'drawings' => [
                FolioDrawing::of($life, Chain::of([]), null, $this->words, 1206),
                FolioDrawing::of($life, Chain::of([]), null, $this->words, 330),
            ],
            'now' => $now,
            'words' => $this->words,
            'values' => new RuleInWords($this->words),
        ]);
    }
}
