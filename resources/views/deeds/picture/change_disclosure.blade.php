{{-- $fields: FieldCompared; $seen: when the oldest of what is read today was seen; $one: the only name, if it is one; $count: names --}}
@php($by = fn (array $suffixes): string => count($suffixes) > 1 ? 'by rule' : "by the rule of .{$suffixes[0]}")
@php($rule = fn (string $state, array $told): string => $words->say('contacts.read.'.$state).(count($told) > 1 ? ' ('.number_format($told[$state]).')' : ''))
<table class="sheet reads">
    <caption class="hide">What the world reads of the holder, today and after</caption>
    <thead><tr><th scope="col">Field</th><th scope="col">What we hold</th><th scope="col">Read today{{ $seen === null ? '' : ' (seen '.($count > 1 ? 'since '.App\Support\Dates::short($seen) : App\Support\Dates::exact($seen)).')' }}</th><th scope="col">Read after</th><th scope="col">Where it differs</th></tr></thead>
    <tbody>
    @foreach ($fields as $compared)
        <tr @class(['reads-changes' => $compared->changes > 0])>
            <th scope="row">{{ ucfirst($words->say('contacts.field.'.$compared->field->value)) }}</th>
            <td class="mono" data-label="What we hold">@if ($compared->held === [])<span class="lesser">nothing</span>@elseif (count($compared->held) === 1)<bdi>{{ $compared->held[0] }}</bdi>@else<span class="lesser">more than one</span>@endif</td>
            <td data-label="Read today">@foreach ($compared->today as $state => $names)<span class="read read-{{ $state }}">{{ $rule($state, $compared->today) }}</span>@endforeach</td>
            <td class="reads-after" data-label="Read after">@foreach ($compared->after as $state => $names)<span @class(['read', 'read-'.$state])>@if ($compared->changes > 0 && $loop->first)<strong class="mark">{{ $rule($state, $compared->after) }}</strong>@else{{ $rule($state, $compared->after) }}@endif @if ($state === 'redacted')<span class="lesser">{{ $by($compared->redactedBy) }}</span>@endif</span>@endforeach</td>
            <td data-label="Where it differs">@foreach ($compared->apart as $state => $names)<span class="lesser">{{ implode(', ', $names) }}{{ ($compared->after[$state] ?? 0) > count($names) ? ' and '.number_format($compared->after[$state] - count($names)).' more' : '' }}: {{ $words->say('contacts.read.'.$state) }}</span>@endforeach</td>
        </tr>
    @endforeach
    </tbody>
</table>
<p class="lesser reads-key"><span class="read read-shown">shown</span> <span class="read read-withheld">withheld by our wish</span> <span class="read read-redacted">redacted by rule</span> <span class="read read-replaced">a privacy service’s data</span> Only the first two are ours to choose, where suffix and registrar let us. Directories show a change within minutes to some days.</p>
