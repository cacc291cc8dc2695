<x-layout :title="__('common.movements')" area="Movements">
    @include('movements.ways')
    <div class="head">
        <div>
            <h1>{{ __('common.movements') }}</h1>
            <div class="sentence"><x-sentence of="dockets.index.showing"><x-slot:dockets><span class="term"
                            title="{{ __('words.explained.docket') }}">{{ __('dockets.index.dockets') }}</span></x-slot></x-sentence>
                <x-word :label="$open ? __('dockets.index.open') : __('dockets.index.closed')"><a href="{{ route('dockets.index') }}"
                        @if ($open) aria-current="true" @endif>{{ __('dockets.index.open') }}</a><a
                        href="{{ route('dockets.index', ['state' => 'ended']) }}"
                        @if (!$open) aria-current="true" @endif>{{
                            __('dockets.index.closed')
                        }}</a></x-word>{{ __('dockets.index.newest') }}
            </div>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button" href="{{ route('hand-over') }}">{{ __('dockets.index.hand_over_names') }}</a></p>
        @endcan
    </div>
    @if ($dockets->isEmpty())
        <div class="empty">
            <h2>{{ $open ? __('dockets.index.nothing_under_way') : __('dockets.index.no_closed_dockets_yet') }}</h2>
            <p>{{ $open ? __('dockets.index.start_a_handover_with_names') : __('dockets.index.a_docket_is_closed_once_all') }}</p>
        </div>
    @else
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('dockets.index.docket') }}</th>
                    <th scope="col">{{ __('common.what') }}</th>
                    <th scope="col">{{ __('dockets.index.progress') }}</th>
                    <th scope="col">{{ __('common.answer_by') }}</th>
                    <th scope="col">{{ __('dockets.index.prepared') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($dockets as $docket)
                    @php($how = $progress[$docket->id])
                    <tr>
                        <th scope="row"><a
                                href="{{ route('dockets.show', $docket) }}">{{
                                    __('dockets.index.docket_number', ['id' => $docket->id])
                                }}</a>
                        </th>
                        <td>{{ $deeds->of($docket)->headline($docket->terms, $how->meant()) }}</td>
                        <td data-label="{{ __('dockets.index.progress') }}">
                            @if ($docket->state === App\Models\DocketState::Prepared)
                                <span class="is-soon">{{ __('dockets.index.waiting_for_a_steward') }}</span>
                            @elseif ($docket->state === App\Models\DocketState::CalledOff)
                                {{ __('dockets.index.cancelled') }}
                            @else
                                {{ __('dockets.index.of_done', ['done' => $how->done, 'meant' => $how->meant()]) }} @if ($how->refused > 0)
                                    <span class="lesser is-bad">{{ __('dockets.index.refused', ['refused' => $how->refused]) }}</span>
                                @endif
                            @endif
                        </td>
                        <td data-label="{{ __('common.answer_by') }}">
                            {{ isset($docket->terms['answer_by'])
                                ? App\Support\Dates::full(Acre\Core\Time\Instant::of($docket->terms['answer_by']))
                                : '' }}
                        </td>
                        <td data-label="{{ __('dockets.index.prepared') }}">{{ App\Support\Dates::full($docket->prepared_on) }}<span
                                class="lesser">{{ $docket->preparer->name }}</span></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        {{ $dockets->links('components.pages') }}
    @endif
</x-layout>
