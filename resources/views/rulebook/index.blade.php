<x-layout title="The rulebook" area="Outside">
    @include('outside.ways')
    <h1>The rulebook</h1>
    <p class="sentence">What each suffix demands and allows, as this house judges by it. A suffix opens with every rule’s source, and whether it is published, common practice, or only from memory.</p>
    <table class="sheet low">
        <thead><tr><th scope="col">Suffix</th><th scope="col">Terms</th><th scope="col">After the end</th><th scope="col">Moves by</th><th scope="col">A move adds</th><th scope="col">May not move</th><th scope="col">Lock</th><th scope="col">Privacy</th></tr></thead>
        <tbody>
        @foreach ($sets as $set)
            <tr>
                <th scope="row"><a class="name" href="{{ route('rulebook.show', $set->suffix) }}">.{{ $set->suffix }}</a></th>
                <td data-label="Terms">{{ $set->leastMonths->value % 12 === 0 ? ($set->leastMonths->value === 12 * $set->mostYears->value ? '' : ($set->leastMonths->value / 12).' to ') : trans_choice('rulebook.months', $set->leastMonths->value).' to ' }}{{ trans_choice('rulebook.years', $set->mostYears->value) }}</td>
                <td data-label="After the end">{{ $set->end->value === [] ? 'nothing known' : collect($set->end->value)->map(fn ($p) => $words->say('words.phase_short.'.$p->phase->value).' '.$p->days)->join(', ') }}</td>
                <td data-label="Moves by">{{ $set->movesBy->value->value }}</td>
                <td data-label="A move adds">{{ $set->moveAdds->value === 0 ? 'nothing' : ($set->moveAdds->value === 1 ? 'a year' : $set->moveAdds->value.' years') }}</td>
                <td data-label="May not move">{{ $set->holdAfterCreated->value === 0 ? 'no hold known' : $set->holdAfterCreated->value.' days at first' }}</td>
                <td data-label="Lock">{{ $set->hasLock->value ? 'yes' : 'none' }}</td>
                <td data-label="Privacy">{{ $set->privacyAllowed->value ? 'allowed' : 'not allowed' }}</td>
            </tr>
        @endforeach
        </tbody>
    </table>
</x-layout>
