<div class="field">
    <label for="f-pattern">The world reads</label>
    <div class="beside"><select id="f-pattern" name="pattern">@foreach ($choices as $id => $called)<option value="{{ $id }}" @selected((string) $id === (string) ($said['pattern'] ?? ''))>{{ $called }}</option>@endforeach</select> <button @class(['main' => $terms === null])>{{ $terms === null ? 'Show what it would do' : 'Judge again' }}</button></div>
</div>
<details @if (($said['consent'] ?? '') !== '' || $request->word('consent_on') !== '') open @endif>
    <summary>More is to be read than today: on whose word?</summary>
    <div class="columns">
        <x-field name="consent" label="Who agreed, in which words" :value="$said['consent'] ?? $request->word('consent')" maxlength="2000" note="Kept with the docket"/>
        <x-field name="consent_on" type="date" label="Given on" :value="$said['consent_on'] ?? $request->word('consent_on')" note="Empty: today"/>
    </div>
</details>
