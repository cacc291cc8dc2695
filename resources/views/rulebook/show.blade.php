<x-layout :title="'Rules of .'.$suffix" area="Outside">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('rulebook.index') }}">The rulebook</a> / .{{ $suffix }}</nav>
    <h1>Rules of <span class="name">.{{ $suffix }}</span></h1>
    @if ($life->rules->isDefault)<p class="told told-bad">The rulebook has no page for .{{ $suffix }}: these are the cautious rules that stand in.</p>@endif
    <section class="card" aria-labelledby="if">
        <h2 id="if">What would happen to a name with these dates</h2>
        <form class="ask" method="get">
            <label for="created">Registered</label> <input id="created" type="date" name="created" value="{{ $said('created', $life->facts->created) }}">
            <label for="ends">ends</label> <input id="ends" type="date" name="ends" value="{{ $said('ends', $life->facts->ends) }}">
            <label for="moved">moved</label> <input id="moved" type="date" name="moved" value="{{ $said('moved', $life->facts->moved) }}">
            <label for="lead">charged days before</label> <input id="lead" type="number" name="lead" min="0" max="90" value="{{ $said('lead', $life->terms->chargeLead) }}">
            <label for="intent">intent</label> <select id="intent" name="intent">@foreach (__('words.intent') as $case => $word)<option value="{{ $case }}" @selected($life->facts->intent->value === $case)>{{ $word }}</option>@endforeach</select>
            <button>Draw it</button>
        </form>
        @foreach ($refused as $why)<p class="wrong" role="alert">{{ $why }}</p>@endforeach
        <p class="sentence">@foreach ($standing->findings as $finding){{ $words->finding($finding) }}. @endforeach</p>
        <div class="drawing"><div class="wide"><x-folio-line :drawing="$drawings[0]" id="w"/></div><div class="narrow"><x-folio-line :drawing="$drawings[1]" id="n"/></div></div>
        <dl class="facts facts-wide">@foreach ($life->toCome() as $event)<div><dt>{{ App\Support\Dates::full($event->at) }}</dt><dd>{{ $words->say('words.event.'.$event->kind->value) }}{{ $event->certain ? '' : ', perhaps: the registrar’s terms say' }}</dd><dd>missed: {{ $words->say('words.cost.'.$event->kind->cost()->name) }}</dd></div>@endforeach</dl>
    </section>
    <table class="sheet low">
        <caption>Every rule, every edition</caption>
        <thead><tr><th scope="col">Rule</th><th scope="col">Value</th><th scope="col">From</th><th scope="col">Relied on as</th><th scope="col">Source</th></tr></thead>
        <tbody>
        @foreach ($editions as $key => $rules)
            @foreach ($rules as $rule)
                <tr @class(['is-past' => ! $rule->from->hasComeAt($now)])>
                    <th scope="row">{{ $words->say('rulebook.rule.'.$key) }}</th>
                    <td data-label="Value">{{ $values->say($rule->value) }}</td>
                    <td data-label="From" class="date">{{ $rule->from->hasComeAt($now) ? App\Support\Dates::full($rule->from) : 'not in force' }}</td>
                    <td data-label="Relied on as">{{ $words->say('rulebook.mark.'.$rule->mark->value) }}</td>
                    <td data-label="Source" class="source"><details><summary>source</summary>{{ $rule->source }}</details></td>
                </tr>
            @endforeach
        @endforeach
        </tbody>
    </table>
</x-layout>
