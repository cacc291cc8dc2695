@csrf
<div class="field">
    <label for="f-dnssec">{{ __('deeds.change_keys.dnssec') }}</label>
    <div class="beside"><select id="f-dnssec" name="dnssec">
            @foreach ($choices as $to => $called)
                <option value="{{ $to }}" @selected($to === ($said['dnssec'] ?? ''))>{{ $called }}</option>
            @endforeach
        </select> <button formmethod="post" formaction="{{ route('servers.keys') }}"
            @class(['main' => $terms === null])>{{ $terms === null
                ? __('servers.choose.ask')
                : __('servers.choose.again') }}</button></div>
</div>
