@props(['name', 'label', 'words', 'value' => null, 'note' => null])
<div class="field">
    <label for="f-{{ $name }}">{{ $label }}</label>
    <select id="f-{{ $name }}" name="{{ $name }}" {{ $attributes }} @error($name) aria-invalid="true" @enderror>
        @foreach (__($words) as $case => $word)
            <option value="{{ $case }}" @selected((string) old($name, $value) === (string) $case)>{{ $word }}</option>
        @endforeach
    </select>
    @if ($note !== null)<p class="note">{{ $note }}</p>@endif
    @error($name)<p class="wrong">{{ $message }}</p>@enderror
</div>
