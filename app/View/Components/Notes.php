<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Models\Account;
use App\Models\Client;
use App\Models\Name;
use App\Models\Note;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\View\Component;
use Illuminate\View\View;

/** The notes on a name, an account or a client, newest first, and the form for another. */
final class Notes extends Component
{
    private const SHOWN = 100;

    /** @var Collection<int, Note> */
    public Collection $notes;

    public function __construct(public Name|Account|Client $of, public string $route)
    {
        $this->notes = Note::query()
            ->with('user')
            ->where($of->getForeignKey(), $of->getKey())
            ->orderByDesc('id')
            ->limit(self::SHOWN)
            ->get();
    }

    public function render(): View
    {
        return view('components.notes');
    }
}
