@php($groups = $verdicts->groups())
@if ($groups !== [])
    <ul class="groups" aria-label="{{ __('deeds.groups.what_is_in_the_way') }}">
        @foreach ($groups as $group)
            @php($key = $group->finding->key())
            @php($without = $request->without())
            <li>
                @if ($group->isLeftOut)
                    <span
                        class="lesser">{{ __(
                            'deeds.groups.left_out',
                            ['count' => number_format($group->count), 'finding' => $words->inTheWay($group->finding)],
                        ) }}</span>
                    <a
                    href="{{ $address(
                        ['without' => array_values(array_diff($without, [$key]))],
                    ) }}">{{ trans_choice('deeds.groups.put_back', $group->count) }}</a>@else<strong
                        class="is-bad">{{ __('deeds.groups.cant', ['count' => number_format($group->count)]) }}</strong>
                    {{ $words->inTheWay($group->finding) }} <a class="button low"
                        href="{{ $address(['without' => [...$without, $key]]) }}">{{
                            trans_choice('deeds.groups.leave_out', $group->count)
                        }}</a>
                @endif
            </li>
        @endforeach
    </ul>
@endif
