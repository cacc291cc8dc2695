<x-layout :title="__('hosting.site.title', ['name' => $name->unicode])" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> / <a
            href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a> / <a
            href="{{ route('names.points', $name) }}">{{ __('servers.points.where') }}</a> / {{ __('hosting.site.trail') }}</nav>
    <div class="head">
        <div>
            <h1>{{ __('hosting.site.title', ['name' => $name->unicode]) }}</h1>
            <p class="sentence">{{ __('hosting.site.said') }}</p>
        </div>
        @if ($sites !== [])
            <form method="post" action="{{ route('names.sites.ask', $name) }}" class="head-deeds">@csrf<button>{{
                __('hosting.site.ask')
            }}</button></form>
        @endif
    </div>
    @if ($sites === [])
        <p class="empty">{{ __('hosting.site.none') }}</p>
    @else
        <table class="sheet sites">
            <thead>
                <tr>
                    <th scope="col">{{ __('hosting.site.host') }}</th>
                    <th scope="col">{{ __('hosting.site.wanted') }}</th>
                    <th scope="col">{{ __('hosting.site.found') }}</th>
                    <th scope="col">{{ __('hosting.site.amiss') }}</th>
                    @can('change', $name)
                        <th scope="col"><span class="hide">{{ __('common.change') }}</span></th>
                    @endcan
                </tr>
            </thead>
            <tbody>
                @foreach ($sites as $read)
                    <tr>
                        <th scope="row"><span class="name">{{ $told->host($read->site, $name) }}</span> <span
                                class="lesser mono">{{ $read->site->folder }}</span></th>
                        <td data-label="{{ __('hosting.site.wanted') }}">@include('hosting.wanted', ['withPlace' => true])
                            @if ($read->site->isChanging() && $read->site->docket !== null)
                                <span class="reason is-move"><a href="{{ route('dockets.show', $read->site->docket->id) }}">{{
                                    __('hosting.site.changing', ['docket' => $read->site->docket->id])
                                }}</a></span>
                            @endif
                        </td>
                        <td data-label="{{ __('hosting.site.found') }}">@include('hosting.found')
                            @if ($read->seen?->isAsked() === true)
                                <details>
                                    <summary class="lesser">{{ __('hosting.site.steps') }}</summary>
                                    <ul class="plain-list mono lesser">
                                        @foreach ([$read->seen->plain, $read->seen->secure, $read->seen->deep] as $trail)
                                            @foreach ($told->steps($trail) as $step)
                                                <li class="{{ $loop->first ? '' : 'step' }}"><bdi>{{ $step }}</bdi></li>
                                            @endforeach
                                        @endforeach
                                    </ul>
                                </details>
                            @endif
                        </td>
                        <td data-label="{{ __('hosting.site.amiss') }}">@include('hosting.amiss')</td>
                        @can('change', $name)
                            <td class="c-deeds">
                                <a class="button low" href="{{ route('names.sites', [$name, 'host' => $read->site->label === '' ? '@'
                                    : $read->site->label]) }}#site">{{ __('hosting.site.change') }}</a>
                                <form method="post" action="{{ route('names.sites.destroy', [$name, $read->site]) }}">@csrf
                                    @method('delete')<button class="low">{{ __('hosting.site.remove') }}</button></form>
                            </td>
                        @endcan
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($unsaid !== [])
        <table class="sheet low apart">
            <caption>{{ __('hosting.site.unsaid') }} <span class="lesser">{{ __('hosting.site.unsaid_said') }}</span></caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('hosting.site.host') }}</th>
                    <th scope="col">{{ __('hosting.site.leads') }}</th>
                    <th scope="col"><span class="hide">{{ __('common.change') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($unsaid as $one)
                    <tr>
                        <th scope="row" class="mono">{{ $one->host }}</th>
                        <td class="mono" data-label="{{ __('hosting.site.leads') }}">{{ $one->leads }}</td>
                        <td>
                            @can('change', $name)
                                @if ($one->placeId !== null)
                                    <form method="post" action="{{ route('names.sites.store', $name) }}">@csrf<input type="hidden"
                                            name="label" value="{{ $one->label }}"><input type="hidden" name="place_id"
                                            value="{{ $one->placeId }}"><button class="low">{{ __(
                                                'hosting.site.record_at',
                                                ['place' => $places[$one->placeId] ?? ''],
                                            ) }}</button></form>
                                @else
                                    <a href="{{ route('names.sites', [$name, 'host' => $one->label === '' ? '@'
                                        : $one->label]) }}#site">{{ __('hosting.site.add') }}</a>
                                @endif
                            @endcan
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @can('change', $name)
        <form method="post" action="{{ route('names.sites.store', $name) }}" class="card fields apart" id="site" data-once>
            @csrf
            @php($changed = $chosen?->site)
            <h2>{{ $changed === null ? __('hosting.site.add') : __('hosting.form.change', ['place' => $told->host($changed, $name)]) }}</h2>
            @if ($changed !== null)
                <input type="hidden" name="version"
                    value="{{ $errors->has('version') ? $changed->version : old('version', $changed->version) }}">
            @endif
            <div class="columns">
                <x-field name="label" :label="__('hosting.site.before')" :value="$changed->label ?? $label" maxlength="200" class="mono"
                    :note="__('hosting.site.before_said')"/>
                <x-field name="place_id" type="choice" :label="__('hosting.site.place')" :value="$changed?->place_id"
                    :options="['' => __('hosting.site.nowhere')] + $places"/>
                <x-field name="folder" :label="__('hosting.site.folder')" :value="$changed?->folder" maxlength="200" class="mono"/>
            </div>
            <div class="columns">
                <x-field name="target" :label="__('hosting.site.target')" :value="$changed?->target" maxlength="2000" class="mono"
                    placeholder="https://"/>
                <x-field name="for" type="choice" :label="__('hosting.site.for')"
                    :value="$changed?->is_permanent === false ? 'temporary' : 'permanent'"
                    :options="['permanent' => __('hosting.site.permanent'), 'temporary' => __('hosting.site.temporary')]"/>
            </div>
            <label class="tick"><input type="checkbox" name="path" value="1"
                    @checked((bool) old('path', $changed?->keeps_path))> {{ __('hosting.site.keeps_path') }}</label>
            <p><button class="{{ $sites === [] || $changed !== null ? 'main' : '' }}">{{ __('hosting.site.save') }}</button></p>
        </form>
    @endcan
</x-layout>
