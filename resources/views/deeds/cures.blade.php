@foreach (array_slice(App\View\CureInWords::of($findings, $file, $words, isset($receiver) ? $receiver?->id : null), 0, 2) as $cure)<span class="reason">@if ($cure->address === null){{ $cure->said }}@else<a href="{{ $cure->address }}">{{ $cure->said }}</a>@endif</span>
@endforeach
