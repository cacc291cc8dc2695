{{-- All rows in one view, drawings included: a view a row takes half as long again. --}}
@foreach ($rows as $row)
    <tr @class(['is-ticked' => $sheaf->has($row->id)])>
        <td class="c-tick"><input type="checkbox" name="names[]" value="{{ $row->id }}" @checked($sheaf->has($row->id))
                aria-label="{{ __('roll.rows.select', ['unicode' => $row->unicode]) }}"></td>
        <th class="c-name" scope="row"><a class="name" href="{{ route('names.show', $row->ascii) }}">{{ $row->unicode }}</a><span
                class="lesser">{{ $row->client }} @if ($row->drift !== null)
                    <span @class(['differs', 'is-bad' => $row->drift === 'alarm'])
                        title="{{ __('outside.differs.' . $row->drift) }}">{{ __('outside.differs.short') }}</span>
                @endif
            </span></th>
        <td class="c-held">{{ $row->registrar }} <span class="lesser">{{ $row->account }}</span></td>
        @foreach ($row->more as $column => $said)
            <td class="c-more" data-label="{{ __('roll.column.' . $column) }}">{{ $said }}</td>
        @endforeach
        @if ($line)
            <td class="c-line"><svg role="img" aria-label="{{ $row->told }}">
                    <title>{{ $row->told }}</title>
                    @foreach ($row->shapes as $s)
                        @if ($s instanceof Acre\Core\Drawing\Bar)
                            @if ($s->kind === Acre\Core\Drawing\BarKind::Paid)
                                <rect class="d-paid" x="{{ $s->x }}%" y="17" width="{{ $s->width }}%" height="9" />
                                <rect class="d-paid-edge" x="{{ $s->x }}%" y="16" width="{{ $s->width }}%" height="2" />
                            @elseif ($s->kind === Acre\Core\Drawing\BarKind::Expected)
                                <rect class="d-expected" x="{{ $s->x }}%" y="17" width="{{ $s->width }}%" height="8.5" />
                            @else
                                <rect class="d-late" x="{{ $s->x }}%" y="17" width="{{ $s->width }}%" height="9" />
                                <rect fill="url(#hatch)" x="{{ $s->x }}%" y="17" width="{{ $s->width }}%" height="9" />
                            @endif
                        @elseif ($s instanceof Acre\Core\Drawing\Post)
                            <line class="d-post" x1="{{ $s->x }}%" x2="{{ $s->x }}%" y1="12" y2="30" />
                        @elseif ($s instanceof Acre\Core\Drawing\Coin)
                            <circle class="d-coin" cx="{{ $s->x }}%" cy="21.5" r="5.5" /><text class="d-coin-sign"
                                x="{{ $s->x }}%" y="24.6">{{ $s->sign }}</text>
                        @elseif ($s instanceof Acre\Core\Drawing\Bracket)
                            <line class="d-bracket" x1="{{ $s->x }}%" x2="{{ $s->x + $s->width }}%" y1="36"
                                y2="36" />
                            <line class="d-bracket" x1="{{ $s->x }}%" x2="{{ $s->x }}%" y1="33" y2="39" />
                            <line class="d-bracket" x1="{{ $s->x + $s->width }}%" x2="{{ $s->x + $s->width }}%" y1="33"
                                y2="39" />
                        @elseif ($s instanceof Acre\Core\Drawing\Flag)
                            <svg x="{{ $s->x }}%" overflow="visible">
                                <path class="d-flag" d="M0 4V17M0 4h9l-2.5 3.5 2.5 3.5h-9z" />
                            </svg>
                        @elseif ($s instanceof Acre\Core\Drawing\Arrow)
                            <svg x="{{ $s->x }}%" overflow="visible">
                                <path class="d-move" d="M-2 32l5 4-5 4M-8 32l5 4-5 4" />
                            </svg>
                        @elseif ($s instanceof Acre\Core\Drawing\Tail)
                            <line class="d-tail" x1="{{ $s->x }}%" x2="{{ $s->x + $s->width }}%" y1="21.5" y2="21.5" />
                        @endif
                    @endforeach
                    <line class="d-today" x1="{{ $todayAt }}%" x2="{{ $todayAt }}%" y1="-1" y2="48" />
                </svg></td>
        @endif
        <td class="c-next"><span class="{{ $row->tone }}">{{ $row->next }}</span><span class="lesser">{{ $row->lesser }}</span>
        </td>
    </tr>
@endforeach
