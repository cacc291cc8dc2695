@foreach ($counts as $one => $count)
    <a href="{{ route('imports.show', [$import, 'verdict' => $one]) }}" class="pick {{ $one === 'refused' && $count > 0 ? 'is-bad' : '' }}"
        @if ($one === $verdict) aria-current="true" @endif>{{ number_format($count) }}
        {{ __('imports.verdict.' . $one) }}</a>{{ $loop->last ? '.' : ',' }}
@endforeach
