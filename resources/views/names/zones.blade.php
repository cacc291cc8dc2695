@inject('told', App\View\PointsInWords::class)
@php($called = fn($copy): string => App\Support\Dates::exact($copy->at) . ', ' . __('servers.zones.source.' . $copy->source))
<x-layout :title="__('servers.zones.title', ['name' => $name->unicode])" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> / <a
            href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a> / <a
            href="{{ route('names.points', $name) }}">{{ __('servers.points.where') }}</a> / {{ __('servers.zones.trail') }}</nav>
    <div class="head">
        <div>
            <h1>{{ __('servers.zones.title', ['name' => $name->unicode]) }}</h1>
            <p class="sentence">{{ __('servers.zones.said') }}</p>
        </div>
        @can('prepare')
            <form method="post" action="{{ route('names.zones.keep', $name) }}" class="head-deeds">@csrf<button
                    class="{{ $copies === [] ? 'main' : '' }}">{{ __('servers.zones.keep') }}</button></form>
        @endcan
    </div>
    @if (is_array(session('refused')) && session('refused') !== [])
        <section class="told told-bad" role="alert">
            <p><strong>{{ trans_choice('servers.zones.refused', count(session('refused'))) }}</strong></p>
            <ul>
                @foreach (session('refused') as [$line, $text, $why])
                    <li>{{ $line === 0 ? '' : __('servers.zones.line', ['line' => $line]) }} <code><bdi>{{ $text }}</bdi></code>:
                        <bdi>{{ $why }}</bdi></li>
                @endforeach
            </ul>
        </section>
    @endif
    @if ($copies === [])
        <p class="empty">{{ __('servers.zones.none') }}</p>
    @else
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('servers.zones.taken') }}</th>
                    <th scope="col">{{ __('servers.zones.how') }}</th>
                    <th scope="col" class="sum">{{ __('servers.zones.records') }}</th>
                    <th scope="col">{{ __('servers.zones.why') }}</th>
                    <th scope="col"><span class="hide">{{ __('servers.zones.download') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($copies as $copy)
                    <tr>
                        <th scope="row">{{ App\Support\Dates::exact($copy->at) }}</th>
                        <td data-label="{{ __('servers.zones.how') }}">{{ ucfirst(__('servers.zones.source.' . $copy->source)) }}<span
                                class="lesser mono"><bdi>{{ $copy->toldBy }}</bdi></span></td>
                        <td class="sum" data-label="{{ __('servers.zones.records') }}">{{ number_format($copy->records) }}</td>
                        <td data-label="{{ __('servers.zones.why') }}">
                            @if ($copy->docket !== null)
                                <a href="{{ route('dockets.show', $copy->docket) }}">{{ __(
                                    'servers.zones.before_docket',
                                    ['docket' => $copy->docket],
                                ) }}</a>
                            @endif
                        </td>
                        <td><a href="{{ route('names.zones.file', [$name, $copy->id]) }}">{{ __('servers.zones.download') }}</a></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($mail !== null)
            @include('names.mail')
        @endif
        <form method="get" action="{{ route('names.zones', $name) }}" class="card fields apart">
            <div class="columns">
                @foreach (['before' => $before, 'after' => $after] as $side => $chosen)
                    <div class="field">
                        <label for="f-{{ $side }}">{{ __('servers.zones.' . $side) }}</label>
                        <select id="f-{{ $side }}" name="{{ $side }}">
                            <option value="">–</option>
                            @foreach ($copies as $copy)
                                <option value="{{ $copy->id }}" @selected((string) $copy->id === $chosen)>{{ $called($copy) }}</option>
                            @endforeach
                            @foreach ($sets as $id => $set)
                                <option value="set-{{ $id }}" @selected("set-{$id}" === $chosen)>{{ __(
                                    'servers.zones.of_set',
                                    ['set' => $set],
                                ) }}</option>
                            @endforeach
                        </select>
                    </div>
                @endforeach
                <p><button>{{ __('servers.zones.compare') }}</button></p>
            </div>
        </form>
        @if ($comparison !== null)
            @include('names.points.compared', [
                'comparison' => $comparison,
                'heads' => [__('servers.zones.before'), __('servers.zones.after')],
                'apart' => true,
            ])
        @elseif ($before !== '' && $after !== '')
            <p class="told">{{ __('servers.zones.not_comparable') }}</p>
        @endif
    @endif
    @can('prepare')
        <section class="card apart" aria-labelledby="paste">
            <h2 id="paste">{{ __('servers.zones.paste') }}</h2>
            <p class="lesser">{{ __('servers.zones.paste_said') }}</p>
            <form method="post" action="{{ route('names.zones.store', $name) }}" enctype="multipart/form-data" class="fields">
                @csrf
                <x-field name="zone" type="area" rows="6" class="mono" :label="__('servers.zones.zone_file')" maxlength="2000000" />
                <x-field name="file" :label="__('servers.zones.or_upload')"><input type="file" id="f-file" name="file"></x-field>
                <p><button>{{ __('servers.zones.keep_file') }}</button></p>
            </form>
        </section>
    @endcan
</x-layout>
