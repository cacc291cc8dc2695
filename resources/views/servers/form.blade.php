@php($title = $set->exists ? __('servers.form.change', ['set' => $set->name]) : __('servers.form.add'))
@php($found = session('found'))
<x-layout :title="$title" area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('servers.sets.index') }}">{{ __('servers.index.title') }}</a></nav>
    <h1>{{ $title }}</h1>
    @unless ($set->exists)
        <form method="post" action="{{ route('servers.sets.read') }}" class="card fields">
            @csrf
            @if ($of !== '')
                <input type="hidden" name="of" value="{{ $of }}">
            @endif
            <x-field name="letter" type="area" rows="6" :label="__('servers.form.letter')" :note="__('servers.form.letter_said')"
                maxlength="100000"/>
            <p><button @class(['main' => $found === null])>{{ __('servers.form.read') }}</button></p>
        </form>
        @if (is_array($found))
            <section class="told" role="status">
                <p><strong>{{ trans_choice('servers.form.found', $found['servers']) }}</strong></p>
                @if ($found['others'] !== [])
                    <p>{{ __('servers.form.others') }} <span class="mono">{{ implode(', ', $found['others']) }}</span></p>
                @endif
                @if ($found['ignored'] !== [])
                    <details>
                        <summary>{{ __('servers.form.ignored') }} ({{ count($found['ignored']) }})</summary>
                        <ul class="plain-list lesser">
                            @foreach ($found['ignored'] as $line)
                                <li><bdi>{{ $line }}</bdi></li>
                            @endforeach
                        </ul>
                    </details>
                @endif
            </section>
        @endif
    @endunless
    @if ($set->exists)
        @if (is_array(session('asked')))
            <section class="told {{ session('asked') === [] ? '' : 'told-bad' }}" role="status">
                @forelse (session('asked') as $said)
                    <p><bdi>{{ $said }}.</bdi></p>
                @empty
                    <p>{{ __('servers.form.found_all') }}</p>
                @endforelse
            </section>
        @endif
        <form method="post" action="{{ route('servers.sets.ask', $set) }}">@csrf<p><button>{{ __('servers.form.ask') }}</button></p>
        </form>
    @endif
    <form method="post" action="{{ $set->exists ? route('servers.sets.update', $set) : route('servers.sets.store') }}" class="card fields"
        data-once>
        @csrf
        @if ($set->exists)
            @method('put') <input type="hidden" name="version"
                value="{{ $errors->has('version') ? $set->version : old('version', $set->version) }}">
        @elseif ($of !== '')
            <input type="hidden" name="of" value="{{ $of }}">
        @endif
        @foreach ($findings as $finding)
            <p class="is-soon">{{ $words->finding($finding) }}.</p>
        @endforeach
        <div class="columns">
            <x-field name="name" :label="__('servers.form.name')" :value="$set->name" maxlength="80" required />
            <x-choice name="kind" :label="__('servers.form.kind')" :value="$set->kind->value" words="servers.kind" />
            <x-field name="operator" :label="__('servers.form.operator')" :value="$set->operator" maxlength="120"
                :note="__('servers.form.operator_said')"/>
            <x-field name="registrar_id" type="choice" :label="__('servers.form.registrar')" :value="$set->registrar_id"
                :options="['' => '–'] + $registrars"/>
        </div>
        <x-field name="servers" type="area" rows="5" class="mono" :label="__('servers.form.servers')"
            :note="__('servers.form.servers_said')" required
            :value="collect($set->value()->servers)->map(fn($one) => implode(' ', [$one->host, ...$one->addresses]))->join(chr(10))"/>
        <label class="tick"><input type="checkbox" name="gives_zones" value="1" @checked((bool) old('gives_zones', $set->gives_zones))>
            {{ __('servers.form.gives_zones') }}</label>
        <p><button @class(['main' => $set->exists || $found !== null])>{{ __('common.save') }}</button> <a class="button"
                href="{{ route('servers.sets.index') }}">{{ __('common.cancel') }}</a></p>
    </form>
</x-layout>
