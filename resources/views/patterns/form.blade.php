<x-layout :title="$pattern->exists ? 'Change “'.$pattern->name.'”' : 'Make a pattern'" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('patterns.index') }}">Patterns of disclosure</a></nav>
    <h1>{{ $pattern->exists ? 'Change “'.$pattern->name.'”' : 'Make a pattern' }}</h1>
    <form method="post" action="{{ $pattern->exists ? route('patterns.update', $pattern) : route('patterns.store') }}" class="card fields">
        @csrf
        @if ($pattern->exists) @method('put') <input type="hidden" name="version" value="{{ $errors->has('version') ? $pattern->version : old('version', $pattern->version) }}">@endif
        <x-field name="name" label="What it is called" :value="$pattern->name" maxlength="80" required/>
        <fieldset><legend class="label">The world may read</legend>
            @foreach (Acre\Core\Record\Field::cases() as $field)<label class="tick"><input type="checkbox" name="fields[]" value="{{ $field->value }}" @checked(in_array($field->value, (array) old('fields', $pattern->fields ?? []), true))> {{ __('contacts.field.'.$field->value) }}</label>@endforeach
        </fieldset>
        @error('fields.*')<p class="wrong">{{ $message }}</p>@enderror
        <p class="lesser">Names that follow it show what they show today until a deed tells their registrars.</p>
        <p><button class="main">Save</button> <a class="button" href="{{ route('patterns.index') }}">Leave it</a></p>
    </form>
</x-layout>
