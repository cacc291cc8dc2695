@props(['name', 'label', 'type' => 'text', 'value' => null, 'note' => null, 'id' => null, 'options' => []])
@php($id ??= 'f-' . str_replace(['[', ']', '.'], '-', $name))
<div class="field">
    <label for="{{ $id }}">{{ $label }}</label>
    @if ($slot->isNotEmpty())
        {{ $slot }}
    @elseif ($type === 'choice')
        <select id="{{ $id }}" name="{{ $name }}" {{ $attributes }}
            @error($name) aria-invalid="true" aria-describedby="{{ $id }}-error" @enderror>
            @foreach ($options as $key => $said)
                <option value="{{ $key }}" @selected((string) old($name, $value) === (string) $key)>{{ $said }}</option>
            @endforeach
        </select>
    @elseif ($type === 'area')
        <textarea id="{{ $id }}" name="{{ $name }}" {{ $attributes }}
            @error($name) aria-invalid="true" aria-describedby="{{ $id }}-error" @enderror>{{ old($name, $value) }}</textarea>
    @else
        <input id="{{ $id }}" name="{{ $name }}" type="{{ $type }}"
            @if ($type !== 'password') value="{{ old($name, $value) }}" @endif {{ $attributes }}
            @error($name) aria-invalid="true" aria-describedby="{{ $id }}-error" @enderror>
    @endif
    @if ($note !== null)
        <p class="note">{{ $note }}</p>
    @endif
    @error($name)
        <p class="wrong" id="{{ $id }}-error">{{ $message }}</p>
    @enderror
</div>
