<x-layout
    :title="$account->exists ? __('accounts.form.change_account', ['number' => $account->number]) : __('accounts.form.add_an_account')"
    area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('registrars.index') }}">{{ __('common.registrars') }}</a> / <a
            href="{{ route('accounts.index') }}">{{ __('common.accounts') }}</a></nav>
    <h1>{{ $account->exists ? __('accounts.form.change_account', ['number' => $account->number]) : __('accounts.form.add_an_account') }}
    </h1>
    @if ($registrars->isEmpty())
        <div class="empty">
            <h2>{{ __('accounts.form.no_registrar_yet') }}</h2>
            <p>{{ __('accounts.form.registrar_first') }} <a
                    href="{{ route('registrars.create') }}">{{ __('accounts.form.add_registrar') }}</a></p>
        </div>
    @else
        @php($fixed = $account->exists && auth()->user()->cannot('settle'))
        <x-row-form :row="$account" route="accounts">
            @if ($fixed)
                <p class="note">{{ __('forms.fixed') }}</p>
            @endif
            <div class="columns">
                <div class="field"><label for="f-registrar_id">{{ __('common.registrar') }}</label><select id="f-registrar_id"
                        name="registrar_id" @disabled($fixed)>
                        @foreach ($registrars as $one)
                            <option value="{{ $one->id }}"
                                @selected((int) old('registrar_id', $account->getAttributes()['registrar_id'] ?? 0) === $one->id)>
                                {{ $one->name }}</option>
                        @endforeach
                    </select>
                    @error('registrar_id')
                        <p class="wrong">{{ $message }}</p>
                    @enderror
                </div>
                <x-field name="number" :readonly="$fixed" :label="__('common.number')"
                    :value="$account->getAttributes()['number'] ?? null" required maxlength="100"/>
                <x-field name="login" :readonly="$fixed" :label="__('common.login')" :value="$account->login" maxlength="200" />
                <x-field name="mailbox" :readonly="$fixed" :label="__('common.mailbox')" type="email" :value="$account->mailbox"
                    maxlength="320"/>
                <x-field name="handle" :readonly="$fixed" :label="__('accounts.form.public_handle')" :value="$account->handle"
                    maxlength="100"/>
                <div class="field"><label for="f-owner_id">{{ __('common.owner') }}</label><select id="f-owner_id" name="owner_id">
                        <option value="">{{ __('common.our_own') }}</option>
                        @foreach ($clients as $one)
                            <option value="{{ $one->id }}" @selected((int) old('owner_id', $account->owner_id) === $one->id)>
                                {{ $one->name }}</option>
                        @endforeach
                    </select></div>
                <x-choice name="access" :disabled="$fixed" :label="__('accounts.form.access')" :value="$account->access"
                    words="words.access"/>
                <x-field name="proven_at" :readonly="$fixed" :label="__('accounts.form.confirmed_to_belong_together')" type="date"
                    :value="$account->proven_at?->date()" :note="__('accounts.form.the_day_on_which_the_owner')"/>
            </div>
            <h2>{{ __('common.account_access') }}</h2>
            <div class="columns">
                <x-field name="letters_to" :readonly="$fixed" :label="__('accounts.form.the_registrar_writes_to')" type="email"
                    :value="$account->letters_to" maxlength="320"
                    :note="__('accounts.form.empty_the_mailbox_above')" />
                <x-field name="way_back" :label="__('accounts.form.recovery')" :value="$account->way_back" maxlength="1000"
                    :note="__('accounts.form.where_the_recovery_codes_are')"/>
            </div>
            <label class="tick"><input type="hidden" name="hosts_too" value="0"><input type="checkbox" name="hosts_too"
                    value="1" @checked((bool) old('hosts_too', $account->hosts_too))> {{
                        __('accounts.form.the_same_login_also_opens_the')
                    }}</label>
            <h2>{{ __('money.trail') }}</h2>
            <div class="columns">
                <x-choice name="paid_from" :label="__('money.paid_from')" :value="$account->paid_from->value" words="money.from"/>
                <x-field name="card_ends_on" :label="__('money.card_ends_on')" type="date" :value="$account->card_ends_on"
                    :note="__('money.card_ends_said')"/>
            </div>
            <x-field name="remarks" :label="__('common.notes')" type="area" :value="$account->remarks" maxlength="4000" />
        </x-row-form>
    @endif
</x-layout>
