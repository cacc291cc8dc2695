@php($typed = App\Actions\Servers\RecordsTyped::read($request->word('records')))
<x-field name="records" type="area" rows="4" class="mono" :label="__('deeds.change_records.typed')"
    :note="__('deeds.change_records.typed_said')" :value="$said['records'] ?? $request->word('records')" maxlength="8000" required/>
@if ($typed->wrong !== [])
    <div class="told told-bad" role="alert">
        <p><strong>{{ __('deeds.change_records.wrong') }}</strong></p>
        <ul>
            @foreach ($typed->wrong as $wrong)
                <li><bdi>{{ $wrong }}</bdi></li>
            @endforeach
        </ul>
    </div>
@endif
