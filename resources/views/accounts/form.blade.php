<x-layout :title="$account->exists ? 'Change account '.$account->number : 'Write down an account'" area="Outside">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('registrars.index') }}">Registrars</a> / <a href="{{ route('accounts.index') }}">Accounts</a></nav>
    <h1>{{ $account->exists ? 'Change account '.$account->number : 'Write down an account' }}</h1>
    @if ($registrars->isEmpty())
        <div class="empty"><h2>No registrar yet</h2><p>An account is one at a registrar. <a href="{{ route('registrars.create') }}">Write down the registrar first.</a></p></div>
    @else
    @php($fixed = $account->exists && auth()->user()->cannot('settle'))
    <x-row-form :row="$account" route="accounts">
        @if ($fixed)<p class="note">{{ __('forms.fixed') }}</p>@endif
        <div class="columns">
            <div class="field"><label for="f-registrar_id">Registrar</label><select id="f-registrar_id" name="registrar_id" @disabled($fixed)>@foreach ($registrars as $one)<option value="{{ $one->id }}" @selected((int) old('registrar_id', $account->getAttributes()['registrar_id'] ?? 0) === $one->id)>{{ $one->name }}</option>@endforeach</select>@error('registrar_id')<p class="wrong">{{ $message }}</p>@enderror</div>
            <x-field name="number" :readonly="$fixed" label="Number" :value="$account->getAttributes()['number'] ?? null" required maxlength="100"/>
            <x-field name="login" :readonly="$fixed" label="Login" :value="$account->login" maxlength="200"/>
            <x-field name="mailbox" :readonly="$fixed" label="Mailbox" type="email" :value="$account->mailbox" maxlength="320"/>
            <x-field name="handle" :readonly="$fixed" label="Public handle" :value="$account->handle" maxlength="100"/>
            <div class="field"><label for="f-owner_id">Whose it is</label><select id="f-owner_id" name="owner_id"><option value="">the house’s own</option>@foreach ($clients as $one)<option value="{{ $one->id }}" @selected((int) old('owner_id', $account->owner_id) === $one->id)>{{ $one->name }}</option>@endforeach</select></div>
            <x-choice name="access" :disabled="$fixed" label="Access" :value="$account->access" words="words.access"/>
            <x-field name="proven_at" :readonly="$fixed" label="Known to belong together since" type="date" :value="$account->proven_at?->date()" note="When the owner confirmed number, login, mailbox and handle. Empty: unproven"/>
        </div>
        <h2>Who can get in</h2>
        <div class="columns">
            <x-field name="letters_to" :readonly="$fixed" label="The registrar’s letters go to" type="email" :value="$account->letters_to" maxlength="320" note="Empty: to the mailbox above"/>
            <x-field name="way_back" label="The way back in" :value="$account->way_back" maxlength="1000" note="Where the recovery codes are, a form, a telephone number; no code itself"/>
        </div>
        <label class="tick"><input type="hidden" name="hosts_too" value="0"><input type="checkbox" name="hosts_too" value="1" @checked((bool) old('hosts_too', $account->hosts_too))> the web host is behind the same login</label>
        <x-field name="remarks" label="Remarks" type="area" :value="$account->remarks" maxlength="4000"/>
    </x-row-form>
    @endif
</x-layout>
