<x-layout :title="__('imports.title')" area="Roll">
    <nav class="trail" aria-label="{{ __('imports.where') }}"><a href="{{ route('roll') }}">{{ __('imports.the_roll') }}</a> /
        {{ lcfirst(__('imports.title')) }}</nav>
    <h1>{{ __('imports.title') }}</h1>
    <p class="sentence">{{ __('imports.create.what') }} {{ __('imports.nothing_yet') }}</p>
    <form method="post" action="{{ route('imports.store') }}" enctype="multipart/form-data" class="card fields">
        @csrf
        <div class="columns">
            <x-field name="list" :label="__('imports.create.file')" id="f-list">
                <input id="f-list" type="file" name="list"
                    accept=".csv,.txt,.tsv,.xlsx,.ods,.json,text/csv,text/plain,application/json" required
                    @error('list') aria-invalid="true" @enderror>
            </x-field>
            @if ($registrars->isNotEmpty())
                <div class="field"><label for="f-registrar">{{ __('imports.create.registrar') }}</label>
                    <select id="f-registrar" name="registrar">
                        <option value="">{{ __('imports.create.registrar_beside') }}</option>
                        @foreach ($registrars as $one)
                            <option value="{{ $one->id }}" @selected((int) old('registrar') === $one->id)>{{ $one->name }}</option>
                        @endforeach
                    </select>
                    @error('registrar')
                        <p class="wrong">{{ $message }}</p>
                    @enderror
                </div>
            @endif
            <x-field name="new_registrar"
                :label="__($registrars->isEmpty() ? 'imports.create.registrar' : 'imports.create.registrar_new')" maxlength="200"
                :note="__('imports.create.registrar_note')"/>
            @if ($registrars->isNotEmpty())
                <div class="field"><label for="f-account">{{ __('imports.columns.account') }}</label>
                    <select id="f-account" name="account">
                        <option value="">{{ __('imports.columns.each') }}</option>
                        @foreach ($registrars as $one)
                            <optgroup label="{{ $one->name }}">
                                @foreach ($one->accounts as $account)
                                    <option value="{{ $account->id }}" @selected(
                                        (int) old('account') === $account->id
                                    )>{{ $account->number }},
                                        {{ $account->owner?->name ?? __('imports.own') }}</option>
                                @endforeach
                            </optgroup>
                        @endforeach
                    </select>
                    @error('account')
                        <p class="wrong">{{ $message }}</p>
                    @enderror
                </div>
            @endif
            <x-field name="new_account" :label="__($registrars->isEmpty() ? 'imports.account_of_all' : 'imports.account_new')"
                maxlength="100" :note="__('imports.account_note')"/>
            <div class="field"><label for="f-client">{{ __('imports.create.client') }}</label>
                <select id="f-client" name="client">
                    @foreach ($clients as $one)
                        <option value="{{ $one->id }}" @selected((int) old('client') === $one->id)>
                            {{ $one->is_house ? __('imports.create.ourselves', ['name' => $one->name]) : $one->name }}</option>
                    @endforeach
                </select>
                @error('client')
                    <p class="wrong">{{ $message }}</p>
                @enderror
            </div>
        </div>
        <label class="tick"><input type="checkbox" name="whole" value="1" @checked(old('whole'))>
            {{ __('imports.create.whole') }} <span class="lesser">{{ __('imports.create.whole_note') }}</span></label>
        <p><button class="main">{{ __('imports.create.go_on') }}</button></p>
    </form>
    @if ($before->isNotEmpty())
        <section class="card" aria-labelledby="before">
            <h2 id="before">{{ __('imports.create.before') }}</h2>
            <dl class="facts">
                @foreach ($before as $import)
                    <div>
                        <dt>{{ $import->registrar->name }}</dt>
                        <dd><a href="{{ route('imports.show', $import) }}">{{ $import->file }}</a></dd>
                        <dd>{{ __('imports.state.' . $import->state->value) }}</dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
</x-layout>
