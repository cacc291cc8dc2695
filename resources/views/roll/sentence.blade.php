@foreach (array_diff_key($filter->words(), [$without ?? '' => 1]) as $word => $value)
    <input type="hidden" name="{{ $word }}" value="{{ $value }}">
@endforeach
