@php($groups = $verdicts->groups())
@if ($groups !== [])
    <ul class="groups" aria-label="What is in the way">
        @foreach ($groups as $group)
            @php($key = $group->finding->key())
            @php($without = $request->without())
            <li>@if ($group->isLeftOut)<span class="lesser">{{ number_format($group->count) }} left out: {{ $words->inTheWay($group->finding) }}</span> <a href="{{ $address(['without' => array_values(array_diff($without, [$key]))]) }}">Put {{ $group->count === 1 ? 'it' : 'them' }} back</a>@else<strong class="is-bad">{{ number_format($group->count) }} can’t:</strong> {{ $words->inTheWay($group->finding) }} <a class="button low" href="{{ $address(['without' => [...$without, $key]]) }}">Leave {{ $group->count === 1 ? 'it' : 'them' }} out</a>@endif</li>
        @endforeach
    </ul>
@endif
