<div class="field">
    <label for="f-client">{{ __('deeds.terms.give_to_client.from_now_on_held_for') }}</label><select id="f-client" name="client" required>
        <option value="">{{ __('deeds.terms.give_to_client.choose') }}</option>
        @foreach ($choices as $id => $name)
            <option value="{{ $id }}" @selected(($said['client'] ?? null) === $id)>{{ $name }}</option>
        @endforeach
    </select>
</div>
