@php($names = array_sum($plan->names))
<x-layout title="Outside" area="Outside">
    @include('outside.ways')
    <h1>How the outside is looked at</h1>
    <p class="sentence">@if ($names === 0)No name is looked at yet. @else{{ number_format($names) }} {{ $names === 1 ? 'name is' : 'names are' }} looked at in turn: directories and name servers are asked, and what they say is kept. @if ($plan->asked !== null)The last answer came on <strong>{{ App\Support\Dates::exact($plan->asked) }}</strong>. @endif @if (array_sum($counts) > 0)<a href="{{ route('drift.index') }}"><strong>{{ number_format(array_sum($counts)) }}</strong> {{ array_sum($counts) === 1 ? 'thing differs' : 'things differ' }}</a> from the Roll.@else Nothing differs from the Roll.@endif @endif</p>
    <div class="cards">
        <section class="card" aria-labelledby="pace">
            <h2 id="pace">How often</h2>
            <dl class="facts">
                @foreach ($plan->names as $pace => $count)
                    <div><dt>{{ ucfirst(__('outside.pace.'.$pace)) }}</dt><dd>{{ number_format($count) }} {{ $count === 1 ? 'name' : 'names' }}<span class="lesser">{{ __('outside.pace_why.'.$pace) }}</span></dd></div>
                @endforeach
            </dl>
        </section>
        <section class="card" aria-labelledby="room">
            <h2 id="room">Whether it fits</h2>
            <dl class="facts">
                <div><dt>Questions</dt><dd>{{ $plan->questions < 1 ? 'less than one' : number_format($plan->questions, $plan->questions < 10 ? 1 : 0) }} a minute on average<span class="lesser">one host is asked {{ number_format($plan->limit) }} a minute at most, and less where it says so</span></dd></div>
                <div><dt>Fits</dt><dd>@if ($plan->fits())<span class="is-good">yes</span>@else<span class="is-bad">no</span><span class="lesser">what can’t be asked in its turn is asked later: a day becomes {{ number_format($plan->questions / max(1, $plan->limit), 1) }} days if one host answers for all</span>@endif</dd></div>
                <div><dt>Room for</dt><dd>{{ number_format($plan->roomFor()) }} names a day at one host<span class="lesser">50,000 names of one registry take {{ number_format($plan->needs(50_000), 0) }} questions a minute: each of them once a day at the registry, and once a week at its registrar</span></dd></div>
                <div><dt>Their turn has come</dt><dd>{{ number_format($plan->due) }} {{ $plan->due === 1 ? 'name' : 'names' }}</dd></div>
                <div><dt>Not answered last time</dt><dd>{{ number_format($plan->failing) }} {{ $plan->failing === 1 ? 'name' : 'names' }}</dd></div>
            </dl>
        </section>
        <section class="card" aria-labelledby="hosts">
            <h2 id="hosts">Who may be asked</h2>
            <p class="lesser">Only these hosts; a link to any other is shown and not followed. Name servers are asked at public addresses.</p>
            <ul class="plain-list">@forelse ($hosts as $host)<li class="mono">{{ $host }}</li>@empty<li>Nobody: no host is listed in the settings.</li>@endforelse</ul>
            @if ($world !== null)<p class="lesser">All of it is simulated. <a href="{{ $world }}" rel="noreferrer">The page of the simulation</a> plays the other parties.</p>@endif
        </section>
    </div>
    @if ($plan->troubles !== [])
        <table class="sheet low">
            <caption>What went wrong the last time</caption>
            <thead><tr><th scope="col">What happened</th><th scope="col" class="sum">Names</th></tr></thead>
            <tbody>@foreach ($plan->troubles as $reason => $count)<tr><th scope="row" class="said">{{ $reason }}</th><td class="sum" data-label="Names">{{ number_format($count) }}</td></tr>@endforeach</tbody>
        </table>
    @endif
</x-layout>
