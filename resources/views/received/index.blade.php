<x-layout title="Letters that came" area="People">
    @include('contacts.ways')
    <div class="head">
        <div><h1>Letters that came</h1><p class="sentence">{{ $open->isEmpty() ? 'None waits for an answer.' : ($open->count() === 1 ? 'One waits for an answer.' : number_format($open->count()).' wait for an answer.') }} From registries, registrars and complainants; what has a day falls due in Rounds.</p></div>
        @can('prepare')<p class="head-deeds"><a class="button" href="{{ route('received.create') }}">Write one down</a></p>@endcan
    </div>
    @if ($open->isEmpty() && $answered->isEmpty())<div class="empty"><h2>No letter is written down</h2><p>A dispute, a notice or a request for data belongs here, with the names that it is about and the day by which it must be answered.</p></div>@endif
    @foreach ([['What waits', $open], ['What was answered', $answered]] as [$heading, $letters])
        @continue($letters->isEmpty())
        <section class="card"><h2>{{ $heading }}</h2>
            <dl class="facts facts-wide">
            @foreach ($letters as $one)
                <div><dt>@if ($one->answered_on !== null)answered on {{ App\Support\Dates::full($one->answered_on) }}@elseif ($one->answer_by !== null)<span class="{{ $one->answer_by->hasComeAt($today) ? 'is-bad' : ($today->daysUntil($one->answer_by) <= 7 ? 'is-soon' : '') }}">by {{ App\Support\Dates::full($one->answer_by) }}</span>@else no day @endif</dt>
                    <dd><strong>{{ $words->say('contacts.received.kind.'.$one->kind) }}</strong> from <bdi>{{ $one->sender }}</bdi>, {{ App\Support\Dates::full($one->received_on) }}<span class="lesser"><bdi>{{ $one->about }}</bdi></span>
                        <span class="lesser">@foreach ($one->names->take(20) as $name)<a class="name" href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a>{{ $loop->last ? '' : ', ' }}@endforeach{{ $one->names->count() > 20 ? ' and '.($one->names->count() - 20).' more' : '' }}</span>
                        @if ($one->answer !== null)<span class="lesser">Answered: <bdi>{{ $one->answer }}</bdi></span>@endif</dd>
                    <dd>@if ($one->file !== null)<a href="{{ route('received.file', $one) }}">{{ $one->file }}</a>@endif
                        @if ($one->answered_on === null)@can('prepare')<details class="menu word"><summary>It is answered</summary><div class="menu-sheet"><form method="post" action="{{ route('received.answer', $one) }}" data-once>@csrf<x-field name="answer" :id="'a-'.$one->id" label="What was answered, and how" maxlength="4000" required/><p><button>Write down</button></p></form></div></details>@endcan @endif</dd></div>
            @endforeach
            </dl>
        </section>
    @endforeach
</x-layout>
