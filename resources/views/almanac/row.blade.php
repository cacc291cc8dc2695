@php($names = $row->names())
@php($isRefused = $row->kind() === Acre\Core\Balance\EntryKind::Refused)
<tr>
    <td class="day" data-label="{{ __('almanac.day') }}">{{ App\Support\Dates::full($row->at()) }}</td>
    <th scope="row">
        @if ($names === [])
            <span class="is-outside">{{ __('almanac.top_up_planned') }}</span>
        @else
            @php($first = Acre\Core\Name\DomainName::of($names[0])->unicode)
            <a class="name" href="{{ route('names.show', $names[0]) }}">{{ $first }}</a> {{ count($names) === 1 ? '' : trans_choice(
                'almanac.and_more',
                count($names) - 1,
                ['count' => number_format(count($names) - 1)],
            ) }}
        @endif
    </th>
    @if ($showsAccount)
        <td data-label="{{ __('almanac.account') }}"><a href="{{ $address(['of' => "account-{$row->run->account->id}"]) }}">{{
            $row->run->account->registrar
        }} {{ $row->run->account->number }}</a></td>
    @endif
    <td class="sum" data-label="{{ __('almanac.amount') }}">
        @if ($isRefused)
            <strong class="is-bad">{{ __('almanac.is_refused', ['sum' => $row->sum()->text()]) }}</strong>
        @elseif ($names === [])
            <span class="is-outside">+{{ $row->sum()->text() }}</span>
        @else
            {{ $row->sum()->text() }}
            @if ($row->credited() !== null)
                <span class="reason lesser">{{ __('almanac.by_credit', ['sum' => $row->credited()->text()]) }}</span>
            @endif
        @endif
    </td>
    <td class="sum" data-label="{{ __('almanac.after') }}">{{ $row->after()?->text() ?? '' }}</td>
    <td>
        @if ($isRefused)
            {{ App\View\AlmanacInWords::otherwise($row, $refusals) }}
        @endif
    </td>
    <td class="sum">
        @if ($isRefused)
            @can('prepare')
                @if ($topUp !== null)
                    <a class="button low"
                        href="{{ App\View\AlmanacInWords::toPlan($row->run, $topUp) }}">{{ __('almanac.top_up', [
                            'sum' => $topUp->amount->text(),
                        ]) }}</a>
                @endif
            @endcan
        @endif
    </td>
</tr>
