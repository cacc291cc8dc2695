@inject('house', App\Support\HouseSettings::class)
@if ($house->letterhead() !== [])
    <p class="letterhead">
        @foreach ($house->letterhead() as $line)
            {{ $line }}@if (!$loop->last)
                <br>
            @endif
        @endforeach
    </p>
@endif
