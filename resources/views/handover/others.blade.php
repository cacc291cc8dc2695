{{-- What the page's address says already, for a form that changes one word of it. --}}
@foreach ([...$request->which(), ...$request->only($kept)] as $key => $value)
    @foreach ((array) $value as $one)
        <input type="hidden" name="{{ $key }}{{ is_array($value) ? '[]' : '' }}" value="{{ $one }}">
    @endforeach
@endforeach
