@php($what = fn(int $n): string => trans_choice('common.names_told', $n, ['told' => number_format($n)]))
@php($clear = $verdicts === null ? 0 : count($verdicts->clear))
<x-layout :title="__('deeds.' . $deed . '.title')" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
        @if ($request->filled('docket'))
            <a href="{{ route('dockets.index') }}">{{ __('common.movements') }}</a> / <a
                href="{{ route('dockets.show', $request->integer('docket')) }}">{{ __(
                    'deeds.show.docket',
                    ['integer' => $request->integer('docket')],
                ) }}</a>
        @elseif ($request->filled('name') && $count === 1)
            <a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> / <a
                href="{{ route('names.show', $request->input('name')) }}">{{ $request->input('name') }}</a>
        @elseif ($request->word('of') === 'sheaf')
            <a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> / <a
                href="{{ route('sheaf.show') }}">{{ __('deeds.show.the_sheaf') }}</a>
        @else
            <a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> / {{ $what($count) }}
        @endif
    </nav>
    <h1>{{ $terms === null ? __('deeds.' . $deed . '.title') : $contract->headline(
        $terms,
        $verdicts === null ? $count : count($verdicts->kept),
    ) }}
    </h1>
    <p class="sentence">{{ __('deeds.' . $deed . (isset($terms['correct']) ? '.explained_correct' : '.explained')) }}</p>
    @if ($verdicts === null && !$request->filled('name') && $about !== [])
        <p>{{ __('deeds.show.for') }} @foreach ($about as $one)
                <strong class="name">{{ $one }}</strong>{{ $loop->last ? '' : ', ' }}
                @endforeach @if ($count > count($about))
                    {{ __('deeds.show.and_more', ['about' => $what($count - count($about))]) }}
                @endif
        </p>
    @endif
    @if ($request->word('of') === 'sheaf')
        <x-in-step />
    @endif
    @if (View::exists('deeds.terms.' . $deed))
        <form method="get" action="{{ route('deeds.show', $deed) }}" class="card fields">
            @foreach ($request->which() as $key => $value)
                @foreach ((array) $value as $one)
                    <input type="hidden" name="{{ $key }}{{ is_array($value) ? '[]' : '' }}" value="{{ $one }}">
                @endforeach
            @endforeach
            <div class="columns">@include('deeds.terms.' . $deed)</div>
            @unless ($contract instanceof App\Actions\Deeds\Illustrated)
                <p><button @class(['main' => $terms === null])>{{ $terms === null
                    ? __('common.preview')
                    : __('common.update_the_preview') }}</button>
                </p>
            @endunless
        </form>
    @endif
    @if ($verdicts !== null)
        @include('deeds.groups')
        @if ($picture !== null)
            @include('deeds.picture.' . $deed, $picture)
        @endif
        <table class="sheet">
            <caption class="hide">{{ __('deeds.show.what_changes_for_each_name') }}</caption>
            <thead>
                <tr>
                    <th scope="col" class="c-name">{{ __('common.name') }}</th>
                    <th scope="col">{{ __('deeds.show.before') }}</th>
                    <th scope="col">{{ __('deeds.show.after') }}</th>
                    <th scope="col">{{ __('common.today') }}</th>
                    <th scope="col">{{ __('deeds.show.reasons') }}</th>
                    <th scope="col">{{ __('common.what_to_do') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $one)
                    @php($change = App\Actions\Deeds\Deeds::beforeAndAfter($contract, $one->file, $terms, withPeople: true))
                    <tr>
                        <th scope="row"><a class="name"
                                href="{{ route('names.show', $one->file->facts->name->ascii) }}">{{ $one->file->facts->name->unicode }}</a>
                        </th>
                        <td data-label="{{ __('deeds.show.before') }}">@include('deeds.changed', ['of' => $change['before']])</td>
                        <td data-label="{{ __('deeds.show.after') }}">
                            @if ($one->readiness->isClear())
                            <strong>@include('deeds.changed', ['of' => $change['after']])</strong>@else<span
                                    class="lesser">{{ __('common.unchanged') }}</span>
                            @endif
                        </td>
                        <td><x-verdict :readiness="$one->readiness" :words="$words" /></td>
                        <td>
                            @foreach ($one->readiness->inOrder() as $finding)
                                <span @class([
                                    'reason',
                                    'is-bad' => $finding->effect === Acre\Core\Finding\Effect::Stops,
                                ])>{{ $words->finding($finding) }}.</span>
                            @endforeach
                        </td>
                        <td>@include('deeds.cures', ['findings' => $one->readiness->reasons(), 'file' => $one->file])</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if (count($rows) < count($verdicts->kept))
            <p>{{ __('deeds.show.more_alike', ['names' => $what(count($verdicts->kept) - count($rows))]) }} <a
                    href="{{ $address(['rows' => 'all']) }}">{{ __('deeds.show.show_all') }}</a></p>
        @endif
    @endif
    @if ($verdicts !== null)
        <x-slot:foot>
            <div class="foot" aria-label="{{ __('deeds.show.what_will_happen') }}" role="region">
                <div class="foot-say">
                    <p><strong>{{ __(
                        'deeds.show.of_can_go_now',
                        ['clear' => number_format($clear), 'kept' => number_format(count($verdicts->kept))],
                    ) }}</strong>
                        @if ($verdicts->stopped() > 0)
                            {{ __('deeds.show.cant', ['stopped' => number_format($verdicts->stopped())]) }}
                        @endif
                    </p>
                    <p class="lesser">{{ __('deeds.' . $deed . '.after') }}</p>
                </div>
                @if ($clear > 0)
                    <form method="post" action="{{ route('deeds.store', $deed) }}" data-once>
                        @csrf
                        @foreach ([...$request->which(), ...$said] as $key => $value)
                            @foreach ((array) $value as $one)
                                <input type="hidden" name="{{ $key }}{{ is_array($value) ? '[]' : '' }}"
                                    value="{{ $one }}">
                            @endforeach
                        @endforeach
                        <input type="hidden" name="token" value="{{ $token }}"><input type="hidden" name="shown"
                            value="{{ $shown }}">
                        <button class="main" name="act"
                            value="{{
                                Gate::allows('settle') ? 'settle' : 'prepare'
                            }}">{{ Gate::allows('settle') ? '' : 'Prepare: ' }}{{ $contract->headline($terms, $clear) }}</button>
                    </form>
                @endif
            </div>
        </x-slot:foot>
    @endif
</x-layout>
