<form method="get" action="{{ route('hand-over') }}" class="ask" data-find-account>
    @foreach (['of', 'name', 'by'] as $key)
        @if ($request->filled($key))
            <input type="hidden" name="{{ $key }}" value="{{ $request->input($key) }}">
        @endif
    @endforeach
    <label for="q">{{ __('handover.find.any_part_of_number_login') }}</label>
    <input id="q" name="q" value="{{ $request->input('q') }}" autocomplete="off" maxlength="200">
    <button>{{ __('common.find') }}</button>
</form>
<div class="found" data-found aria-live="polite">@include('handover.found')</div>
