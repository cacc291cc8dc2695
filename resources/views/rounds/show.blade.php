@php($whose = fn($item) => $rounds->marks[$item->key]->givenToName ?? '')
@php($sections = $rounds->sections())
@php($later = $rounds->later())
<x-layout :title="__('rounds.show.rounds')" area="Rounds">
    <h1>{{ __('rounds.show.rounds') }}</h1>
    <div class="sentence">{{ $told->day() }}. @if ($told->amiss() !== null)
            <strong class="is-bad">{{ $told->amiss() }}.</strong>
        @endif
        <strong>
            {{ $told->things() }}</strong>
        @if ($told->undone() !== null)
            <x-sentence :of="$told->undone()"><x-slot:dark><strong class="is-bad">{{ $told->dark() }}</strong></x-slot>
            <x-slot:loss><strong>{{ $told->loss() }}</strong></x-slot></x-sentence>
        @endif
        {{ __('rounds.show.showing') }} <x-word :label="$mine
            ? __('rounds.show.mine_and_unassigned')
            : __('rounds.show.everyones')"><a href="{{ route('rounds') }}"
                @if (!$mine) aria-current="true" @endif>{{ __('rounds.show.everyones') }}</a><a
                href="{{ route('rounds', ['whose' => 'mine']) }}"
                @if ($mine) aria-current="true" @endif>{{ __('rounds.show.mine_and_unassigned') }}</a></x-word>. <a
            class="no-paper as-one" href="{{ route('rounds.letter') }}">{{ __('rounds.show.by_e_mail') }}</a> · <a class="no-paper as-one"
            href="{{ route('rounds.dealt') }}">{{ __('rounds.dealt.title') }}</a>
        @if ($told->sums($sums) !== null)
            <br>{{ $told->sums($sums) }}
        @endif
    </div>
    @if (session('undo') !== null)
        <form method="post" action="{{ route('rounds.mark') }}" class="inline">@csrf<input type="hidden" name="thing"
                value="{{ session('undo') }}"><button class="plain" name="how"
                value="back">{{ __('rounds.show.put_it_back') }}</button></form>
    @endif
    <section class="card weeks" aria-label="{{ __('rounds.show.the_coming_weeks') }}" tabindex="0">
        <svg viewBox="0 0 {{ App\View\WeeksDrawing::WIDTH }} {{ $drawing->base + 8 }}" role="img" aria-label="{{ $drawing->told }}">
            @foreach ($drawing->weekends as $x)
                <rect class="w-weekend" x="{{ $x }}" y="20" width="{{ $drawing->day * 2 }}"
                    height="{{ $drawing->base - 20 }}" />
            @endforeach
            @foreach ($drawing->weeks as $week)
                <line class="w-week" x1="{{ $week['x'] }}" x2="{{ $week['x'] }}" y1="20" y2="{{ $drawing->base }}" /><text
                    class="w-label" x="{{ $week['x'] + 3 }}" y="13">{{ $week['text'] }}</text>
            @endforeach
            <line class="w-ground" x1="0" x2="{{ App\View\WeeksDrawing::WIDTH }}" y1="{{ $drawing->base }}"
                y2="{{ $drawing->base }}" />
            @foreach ($drawing->boxes as $box)
                <rect class="w-box w-{{ $box['section'] }}" x="{{ $box['x'] }}" y="{{ $box['y'] }}"
                    width="{{ round($drawing->day - 10, 1) }}" height="14">
                    <title>{{ $box['title'] }}</title>
                </rect>
            @endforeach
            @foreach ($drawing->more as $more)
                <text class="w-label" x="{{ $more['x'] }}" y="{{ $more['y'] }}">{{ $more['text'] }}</text>
            @endforeach
            <line class="w-today" x1="{{ $drawing->today }}" x2="{{ $drawing->today }}" y1="18" y2="{{ $drawing->base }}" />
        </svg>
    </section>
    @if ($rounds->isCut)
        <p class="lesser">{{ __('rounds.show.cut', ['most' => App\Queries\Rounds\RoundsKind::MOST]) }} <a
                href="{{ route('roll') }}">{{ __('rounds.show.go_to_the_roll') }}</a></p>
    @endif
    @if ($sections === [])
        <div class="empty">
            @if ($holds)
                <h2>{{ __('rounds.show.nothing_to_do_today') }}</h2>
                <p>{{ $later === [] ? __('rounds.show.nor_in_the_coming_weeks') : trans_choice(
                    'rounds.show.comes_later',
                    count($later),
                    ['count' => count($later)],
                ) }}
                    <a href="{{ route('roll') }}">{{ __('rounds.show.go_to_the_roll') }}</a></p>
            @else
                <h2>{{ __('rounds.show.nothing_is_on_the_roll_yet') }}</h2>
                <p>{{ __('rounds.show.as_soon_as_there_are_names') }}</p>
                @can('prepare')
                    <p><a class="button main" href="{{ route('imports.create') }}">{{ __('rounds.show.import_names_from_a') }}</a> <a
                            class="button" href="{{ route('names.create') }}">{{ __('names.add.title') }}</a></p>
                @endcan
            @endif
        </div>
    @else
        <table class="sheet rounds">
            <caption class="hide">{{ __('rounds.show.what_is_due_in_the_next_two') }}</caption>
            <thead class="hide">
                <tr>
                    <th scope="col">{{ __('rounds.show.by_when') }}</th>
                    <th scope="col">{{ __('common.what') }}</th>
                    <th scope="col">{{ __('rounds.show.if_left_undone') }}</th>
                    <th scope="col">{{ __('common.owner') }}</th>
                    <th scope="col">{{ __('common.action') }}</th>
                </tr>
            </thead>
            @foreach ($sections as $section => $items)
                <tbody>
                    <tr class="group rounds-{{ $section }}">
                        <th colspan="5" scope="rowgroup">{{ __('rounds.section.' . $section) }}</th>
                    </tr>
                    @foreach ($all ? $items : array_slice($items, 0, $most) as $item)
                        @include('rounds.item')
                    @endforeach
                    @if (!$all && count($items) > $most)
                        <tr>
                            <td></td>
                            <td colspan="4"><a
                                    href="{{ route(
                                        'rounds',
                                        array_filter(['all' => 1, 'whose' => $mine ? 'mine' : null]),
                                    ) }}">{{ __('rounds.show.show_more', ['most' => number_format(count($items) - $most)]) }}</a>
                            </td>
                        </tr>
                    @endif
                </tbody>
            @endforeach
        </table>
    @endif
    @if ($later !== [])
        <details class="card later">
            <summary>{{ trans_choice('rounds.show.weeks_after', count($later), ['count' => number_format(count($later))]) }}</summary>
            <table class="sheet rounds low">
                <caption class="hide">{{ __('rounds.show.what_is_due_in_the_weeks_after') }}</caption>
                <thead class="hide">
                    <tr>
                        <th scope="col">{{ __('rounds.show.by_when') }}</th>
                        <th scope="col">{{ __('common.what') }}</th>
                        <th scope="col">{{ __('rounds.show.if_left_undone') }}</th>
                        <th scope="col">{{ __('common.owner') }}</th>
                        <th scope="col">{{ __('common.action') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach (array_slice($later, 0, 200) as $item)
                        @include('rounds.item')
                    @endforeach
                </tbody>
            </table>
        </details>
    @endif
</x-layout>
