@inject('cures', App\View\CureInWords::class)
@foreach (array_slice($cures->of($findings, $file, isset($receiver) ? $receiver?->id : null), 0, 2) as $cure)
    <span class="reason">
        @if ($cure->address === null)
            {{ $cure->said }}
        @else
            <a href="{{ $cure->address }}">{{ $cure->said }}</a>
        @endif
    </span>
@endforeach
