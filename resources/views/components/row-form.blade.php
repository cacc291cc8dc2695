@props(['row', 'route'])
<form method="post" action="{{ $row->exists ? route($route . '.update', $row) : route($route . '.store') }}" class="card fields">
    @csrf
    @if ($row->exists)
        @method('put')
        <input type="hidden" name="version" value="{{ $errors->has('version') ? $row->version : old('version', $row->version) }}">
    @endif
    {{ $slot }}
    <p><button class="main">{{ __('common.save') }}</button> <a class="button"
            href="{{ $row->exists ? route($route . '.show', $row) : route($route . '.index') }}">{{ __('common.cancel') }}</a></p>
</form>
