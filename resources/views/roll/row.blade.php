<tr @class(['is-ticked' => $ticked])>
    <td class="c-tick"><input type="checkbox" name="names[]" value="{{ $row->id }}" @checked($ticked) aria-label="Tick {{ $row->unicode }}"></td>
    <th class="c-name" scope="row"><a class="name" href="{{ route('names.show', $row->ascii) }}">{{ $row->unicode }}</a><span class="lesser">{{ $row->client }}</span></th>
    <td class="c-held">{{ $row->registrar }} <span class="lesser">{{ $row->account }}</span></td>
    @foreach ($row->more as $column => $said)<td class="c-more" data-label="{{ __('roll.column.'.$column) }}">{{ $said }}</td>@endforeach
    @if ($line)<td class="c-line"><x-life-line :shapes="$row->shapes" :today="$todayAt" :told="$row->told"/></td>@endif
    <td class="c-next"><span class="{{ $row->tone }}">{{ $row->next }}</span><span class="lesser">{{ $row->lesser }}</span></td>
</tr>
