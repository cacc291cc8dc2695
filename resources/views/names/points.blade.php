@inject('told', App\View\PointsInWords::class)
@php([$seen, $at] = [$page->delegation, $page->at])
@php($suffix = substr((string) strstr($name->unicode, '.'), 1))
<x-layout :title="__('servers.points.title', ['name' => $name->unicode])" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> / <a
            href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a> / {{ __('servers.points.where') }}</nav>
    <div class="head">
        <div class="folio-name">
            <h1 class="name">{{ $name->unicode }}</h1>
        </div>
        <div class="head-deeds">
            <form method="post" action="{{ route('names.points.ask', $name) }}">@csrf
                @if ($page->set !== null)
                    <input type="hidden" name="set" value="{{ $page->set->id }}">
                @endif
                <button>{{ __('servers.choose.again') }}</button>
            </form>
            <a class="button" href="{{ route('names.sites', $name) }}">{{ __('hosting.site.see') }}</a>
            <a class="button" href="{{ route('names.zones', $name) }}">{{ __('servers.zones.copies') }}</a>
            @can('prepare')
                <a class="button main" href="{{ route(
                    'deeds.show',
                    ['change_servers', 'name' => $name->ascii, ...$page->set === null ? [] : ['set' => $page->set->id]],
                ) }}">{{ __('deeds.change_servers.title') }}</a>
            @endcan
        </div>
    </div>
    <p class="sentence">
        @if ($seen === null)
            {{ __('servers.points.never') }}
        @elseif ($seen->parent === null)
            <strong class="is-soon">{{ __('servers.points.not_reached', ['suffix' => $suffix]) }}</strong>
        @elseif ($page->findings === [])
            <strong class="is-good">{{ __('servers.points.all_agree') }}</strong>
        @else
            @foreach (array_slice($page->findings, 0, 3) as $finding)
                <strong
                    class="{{ $finding->tag->cost() === Acre\Core\Finding\Cost::Dark ? 'is-bad' : 'is-soon' }}">{{
                        $words->finding($finding)
                    }}.</strong>
            @endforeach
        @endif
        @if ($at !== null)
            <span class="lesser">{{ __('servers.points.asked', ['at' => App\Support\Dates::exact($at)]) }}</span>
        @endif
    </p>
    @if ($page->watched !== null)
        <p class="told"><strong>{{ __('servers.points.changing') }}</strong> @include('servers.watched', ['watched' => $page->watched]) <a
                href="{{ route('dockets.show', $page->watched->docket) }}">{{ __(
                    'names.show.docket',
                    ['docket' => $page->watched->docket],
                ) }}</a>
        </p>
    @endif
    @if ($page->drawing !== null && $page->drawing->servers !== [])
        <section class="card drawing-points" aria-label="{{ __('servers.points.drawing') }}">
            <div class="wide"><x-pointing :drawing="$page->drawing" :parent="$seen->parent" :ttl="$seen->ttl"
                    :suffix="$suffix" id="p"/></div>
            <table class="sheet low">
                <caption class="hide">{{ __('servers.points.drawing') }}</caption>
                <thead>
                    <tr>
                        <th scope="col">{{ __('servers.index.host') }}</th>
                        <th scope="col">{{ __('servers.points.answers') }}</th>
                        <th scope="col">{{ __('servers.points.names') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->drawing->servers as $one)
                        <tr>
                            <th scope="row" class="mono">{{ $one->server->host }}@unless ($one->isListed)
                                    <span class="lesser">{{ __('servers.points.not_listed') }}</span>
                                @endunless
                            </th>
                            <td class="{{ ['fine' => '', 'weak' => 'is-soon', 'broken' => 'is-bad'][$one->state->value] }}"
                                data-label="{{ __('servers.points.answers') }}">{{ $told->server($one) }}</td>
                            <td class="mono" data-label="{{ __('servers.points.names') }}">{{ implode(' ', $one->server->servers) }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <p>{{ __('servers.span.dnssec') }} <strong @class([
                'is-bad' => $seen->chain?->state === Acre\Core\Dnssec\ChainState::Dark,
                'is-soon' => $seen->chain?->state === Acre\Core\Dnssec\ChainState::NoDelegate,
                'is-good' => $seen->chain?->state === Acre\Core\Dnssec\ChainState::Whole,
            ])>{{ $told->dnssec($seen->chain) }}</strong>
                @can('prepare')
                    @if (in_array($seen->chain?->state, [
                        Acre\Core\Dnssec\ChainState::NoDelegate,
                        Acre\Core\Dnssec\ChainState::Whole,
                        Acre\Core\Dnssec\ChainState::Dark,
                    ], true))
                        <a href="{{ route('deeds.show', [
                            'change_keys',
                            'name' => $name->ascii,
                            'dnssec' => $seen->chain->state === Acre\Core\Dnssec\ChainState::NoDelegate ? 'on' : 'off',
                        ]) }}">{{ __('deeds.change_keys.to.' . ($seen->chain->state === Acre\Core\Dnssec\ChainState::NoDelegate
                            ? 'on'
                            : 'off')) }}</a>
                    @endif
                @endcan
            </p>
        </section>
    @endif
    @if ($page->set !== null)
        @if ($page->open > 0)
            <p class="is-move" data-waiting="{{ route('servers.asked', ['name' => $name->ascii, 'set' => $page->set->id]) }}"
                aria-live="polite">{{ trans_choice('servers.asking', $page->open, ['count' => $page->open]) }}</p>
            <noscript>
                <meta http-equiv="refresh" content="3">
            </noscript>
        @elseif ($page->seen === null)
            <p class="told">{{ __('servers.points.not_compared', ['set' => $page->set->name]) }}</p>
        @else
            <div class="halves">
                @include('names.points.span')
                @include('names.points.differs')
            </div>
        @endif
    @endif
    <form method="get" action="{{ route('names.points', $name) }}" class="card fields points-set">
        <div class="field">
            <label for="f-set">{{ __('servers.points.compare') }}</label>
            <div class="beside"><select id="f-set" name="set">
                    <option value="">–</option>
                    @foreach ($sets as $id => $called)
                        <option value="{{ $id }}" @selected($id === $page->set?->id)>{{ $called }}</option>
                    @endforeach
                </select> <button>{{ __('servers.points.show') }}</button></div>
        </div>
    </form>
</x-layout>
