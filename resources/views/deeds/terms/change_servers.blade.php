@csrf
@php($accept = explode(',', is_string($said['accept'] ?? null) ? $said['accept'] : ''))
@if ($request->filled('back'))
    <input type="hidden" name="back" value="{{ $request->integer('back') }}">
    <p>{{ __('servers.choose.back', ['docket' => $request->integer('back')]) }} <button
            formmethod="post" formaction="{{ route('servers.ask') }}"
            @class(['main' => $terms === null])>{{ __('servers.choose.again') }}</button></p>
@elseif ($choices === [])
    <p>{{ __('servers.choose.none') }} <a class="button main"
            href="{{ route('servers.sets.create', $request->only('of')) }}">{{ __('servers.choose.new') }}</a></p>
@else
    <div class="field">
        <label for="f-set">{{ __('servers.choose.set') }}</label>
        <div class="beside"><select id="f-set" name="set">
                @foreach ($choices as $id => $called)
                    <option value="{{ $id }}" @selected((string) $id === (string) ($said['set'] ?? ''))>{{ $called }}</option>
                @endforeach
            </select> <button formmethod="post" formaction="{{ route('servers.ask') }}"
                @class(['main' => $terms === null])>{{ $terms === null
                    ? __('servers.choose.ask')
                    : __('servers.choose.again') }}</button></div>
        <p class="note"><a href="{{ route('servers.sets.create', $request->only('of')) }}">{{ __('servers.choose.new') }}</a></p>
    </div>
@endif
@if ($terms !== null)
    <details @if (array_filter($accept) !== []) open @endif>
        <summary>{{ __('servers.choose.accept') }}</summary>
        <fieldset>
            <legend class="lesser">{{ __('servers.choose.accept_said') }}</legend>
            @foreach (Acre\Core\Delegation\ServersFinding::acceptable() as $one)
                <label class="tick"><input type="checkbox" name="accept[]" value="{{ $one->value }}"
                        @checked(in_array($one->value, $accept, true))> {{ __('servers.choose.accepts.' . $one->value) }}</label>
            @endforeach
        </fieldset>
        <p><button formmethod="get"
                formaction="{{ route('deeds.show', 'change_servers') }}">{{ __('common.update_the_preview') }}</button></p>
    </details>
@endif
