@php($short = $read->firstShort())
@php($carries = $short?->topUps($asked->now)->topUps[0] ?? null)
@php($showsAccount = $asked->scope->kind !== App\Queries\Almanac\ScopeKind::Account || $asked->moveTo !== null)
@php($text = fn(array $sums): string => implode(' + ', array_map(fn($sum) => $sum->text(), $sums)))
<x-layout :title="__('almanac.title')" area="Almanac">
    <div class="head head-long">
        <div>
            <h1>{{ __('almanac.title') }}</h1>
            <div class="sentence"><x-word :label="__('almanac.ahead')[$asked->months]">
                    @foreach (__('almanac.other_span') as $months => $said)
                        <p><a href="{{ $address(['months' => $months]) }}">{{ $said }}</a></p>
                    @endforeach
                </x-word>{{ __('almanac.for') }}<x-word :label="$about->name">
                    <p><a href="{{ $address(['of' => 'all']) }}">{{ __('almanac.everything') }}</a></p>
                    @foreach ($registrars as $one)
                        <p><a href="{{ $address(['of' => "registrar-{$one->id}"]) }}">{{ __('almanac.all_of', [
                            'registrar' => $one->name,
                        ]) }}</a></p>
                    @endforeach
                    @foreach ($accounts as $one)
                        <p><a href="{{ $address(['of' => "account-{$one->id}"]) }}">{{ $one->registrar->name }} {{ $one->number }}</a></p>
                    @endforeach
                </x-word>{{ __('almanac.counting') }}<x-word :label="__('almanac.count')[$asked->every ? 'every' : 'set']">
                    @foreach (__('almanac.count') as $count => $said)
                        <p><a href="{{ $address(['count' => $count]) }}">{{ $said }}</a></p>
                    @endforeach
                </x-word>{{ __('almanac.with') }}<x-word :label="__('almanac.top_ups')[$asked->withTopUps ? 'planned' : 'none']">
                    @foreach (__('almanac.top_ups') as $with => $said)
                        <p><a href="{{ $address(['top-ups' => $with]) }}">{{ $said }}</a></p>
                    @endforeach
                </x-word>.
                @if ($short !== null)
                    <strong class="is-bad">{{ App\View\AlmanacInWords::short($short) }}</strong>
                @elseif ($read->runs !== [] && $read->unknown() === 0)
                    <span class="is-good">{{ __('almanac.carried') }}</span>
                @endif
            </div>
            <p class="lesser">{{ $read->runs === [] ? __('almanac.nothing') : __('almanac.sum', ['sum' => $text($read->sums())]) }}
                @if ($carries !== null)
                    @if (Gate::allows('prepare'))
                        <a class="in-text" href="{{ App\View\AlmanacInWords::toPlan($short, $carries) }}">{{
                            App\View\AlmanacInWords::carries($carries)
                        }}</a>
                    @else
                        {{ App\View\AlmanacInWords::carries($carries) }}
                    @endif
                @endif
                @if ($read->unknown() > 0)
                    {{ trans_choice('almanac.not_known', $read->unknown(), ['count' => number_format($read->unknown())]) }}
                @endif
                @if ($read->unpriced > 0)
                    {{ trans_choice('almanac.unpriced', $read->unpriced, ['count' => number_format($read->unpriced)]) }}
                @endif
            </p>
        </div>
        <p class="head-deeds">
            @if ($asked->scope->kind === App\Queries\Almanac\ScopeKind::Account)
                <a class="button" href="{{ $about->page }}">{{ __('almanac.books') }}</a>
            @endif
            <a class="button" href="{{ route('almanac.cheaper', ['of' => $asked->scope->text()]) }}">{{ __('almanac.cheaper.open') }}</a>
            <a class="button" href="{{ route('almanac.list', $asked->address()) }}">{{ __('almanac.list') }}</a>
            <a class="button" href="{{ route('almanac.calendar', $asked->address()) }}">{{ __('almanac.as_calendar') }}</a>
        </p>
    </div>
    @include('almanac.what-if')
    @foreach ($drawings as $currency => $drawing)
        @include('almanac.drawing')
    @endforeach
    @if ($drawings !== [] || $asked->zoom !== null)
        <p class="zoom">{{ __('almanac.zoom') }}
            @foreach ($asked->parts() as $from)
                @if ($asked->zoom !== null && $from->date() === $asked->zoom->date())
                    <strong aria-current="true">{{ App\Support\Dates::month($from, true) }}</strong>
                @else
                    <a class="in-text" href="{{ $address(['zoom' => substr($from->date(), 0, 7)]) }}">{{
                        App\Support\Dates::month($from, true)
                    }}</a>
                @endif
            @endforeach
            @if ($asked->zoom !== null)
                · <a class="in-text" href="{{ $address(['zoom' => null]) }}">{{ __('almanac.whole') }}</a>
            @endif
        </p>
    @endif
    @if ($rows !== [])
        <table class="sheet apart">
            <caption class="hide">{{ __('almanac.names') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('almanac.day') }}</th>
                    <th scope="col" class="c-name">{{ __('almanac.names') }}</th>
                    @if ($showsAccount)
                        <th scope="col">{{ __('almanac.account') }}</th>
                    @endif
                    <th scope="col" class="sum">{{ __('almanac.amount') }}</th>
                    <th scope="col" class="sum">{{ __('almanac.after') }}</th>
                    <th scope="col">{{ __('almanac.otherwise') }}</th>
                    <th scope="col" class="sum"><span class="hide">{{ __('common.what_to_do') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $place => $row)
                    @include('almanac.row', ['topUp' => $topUps[$place] ?? null])
                @endforeach
            </tbody>
        </table>
        @if ($more > 0)
            <p class="lesser">{{ trans_choice('almanac.more', $more, ['count' => number_format($more)]) }}</p>
        @endif
    @endif
    @include('almanac.deadlines')
</x-layout>
