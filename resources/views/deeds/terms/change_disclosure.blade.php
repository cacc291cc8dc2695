<div class="field">
    <label for="f-pattern">{{ __('deeds.terms.change_disclosure.disclosure_pattern') }}</label>
    <div class="beside"><select id="f-pattern" name="pattern">
            @foreach ($choices as $id => $called)
                <option value="{{ $id }}" @selected((string) $id === (string) ($said['pattern'] ?? ''))>{{ $called }}</option>
            @endforeach
        </select> <button
            @class(['main' => $terms === null])>{{ $terms === null
                ? __('common.preview')
                : __('common.update_the_preview') }}</button></div>
</div>
<details @if (($said['consent'] ?? '') !== '' || $request->word('consent_on') !== '') open @endif>
    <summary>{{ __('deeds.terms.change_disclosure.this_shows_more_than_today_who') }}</summary>
    <div class="columns">
        <x-field name="consent" :label="__('deeds.terms.change_disclosure.who_agreed_and_in_what_words')"
            :value="$said['consent'] ?? $request->word('consent')" maxlength="2000"
            :note="__('deeds.terms.change_disclosure.stored_with_the_docket')"/>
        <x-field name="consent_on" type="date" :label="__('deeds.terms.change_disclosure.agreed_on')"
            :value="$said['consent_on'] ?? $request->word('consent_on')" :note="__('deeds.terms.change_disclosure.empty_today')"/>
    </div>
</details>
