@foreach ($drifts as $drift)
    <tr>
        <td class="c-tick"><input type="checkbox" name="names[]" value="{{ $drift->name_id }}" aria-label="Tick {{ $drift->name->unicode }}"></td>
        <th scope="row"><a class="name" href="{{ route('record.show', $drift->name->ascii) }}">{{ $drift->name->unicode }}</a></th>
        <td data-label="What was seen"><bdi>{{ $words->stored($drift->said) }}.</bdi>@if ($drift->because !== null)<span class="lesser">Left: {{ $drift->because }}</span>@endif</td>
        <td data-label="How sure"><span @class(['is-soon' => $drift->certainty !== Acre\Core\Record\Certainty::Sure])>{{ __('outside.certainty.'.$drift->certainty->value) }}</span></td>
        <td data-label="First seen">{{ App\Support\Dates::exact($drift->first_seen) }}</td>
    </tr>
@endforeach
