@foreach ($filter->words() as $word => $value)<input type="hidden" name="{{ $word }}" value="{{ $value }}">@endforeach
