<x-layout :title="$pattern->exists ? __('patterns.form.change', ['pattern' => $pattern->name]) : __('patterns.form.add_a_pattern')"
    area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('patterns.index') }}">{{ __('patterns.form.disclosure_patterns') }}</a></nav>
    <h1>{{ $pattern->exists ? __('patterns.form.change', ['pattern' => $pattern->name]) : __('patterns.form.add_a_pattern') }}</h1>
    <form method="post" action="{{ $pattern->exists ? route('patterns.update', $pattern) : route('patterns.store') }}" class="card fields">
        @csrf
        @if ($pattern->exists)
            @method('put') <input type="hidden" name="version"
                value="{{ $errors->has('version') ? $pattern->version : old('version', $pattern->version) }}">
        @endif
        <x-field name="name" :label="__('common.name')" :value="$pattern->name" maxlength="80" required />
        <fieldset>
            <legend class="label">{{ __('patterns.form.fields_to_show') }}</legend>
            @foreach (Acre\Core\Contact\Field::cases() as $field)
                <label class="tick"><input type="checkbox" name="fields[]" value="{{ $field->value }}" @checked(in_array(
                    $field->value,
                    (array) old('fields', $pattern->fields ?? []),
                    true,
                ))>
                    {{ __('contacts.field.' . $field->value) }}</label>
            @endforeach
        </fieldset>
        @error('fields.*')
            <p class="wrong">{{ $message }}</p>
        @enderror
        <p class="lesser">{{ __('patterns.form.names_with_this_pattern_show') }}</p>
        <p><button class="main">{{ __('common.save') }}</button> <a class="button"
                href="{{ route('patterns.index') }}">{{ __('common.cancel') }}</a></p>
    </form>
</x-layout>
