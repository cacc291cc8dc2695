<x-layout title="Bring names in" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('roll') }}">The Roll</a> / bring names in</nav>
    <h1>Bring names in</h1>
    <p class="sentence">A list that a registrar exports, or one of your own: a spreadsheet (XLSX, ODS), CSV or JSON. {{ __('imports.nothing_yet') }}</p>
    <form method="post" action="{{ route('bring-in.store') }}" enctype="multipart/form-data" class="card fields">
        @csrf
        <div class="columns">
            <x-field name="list" label="The list" id="f-list"><input id="f-list" type="file" name="list" accept=".csv,.txt,.tsv,.xlsx,.ods,.json,text/csv,text/plain,application/json" required @error('list') aria-invalid="true" @enderror></x-field>
            @if ($registrars->isNotEmpty())<div class="field"><label for="f-registrar">Whose list it is</label><select id="f-registrar" name="registrar"><option value="">named beside</option>@foreach ($registrars as $one)<option value="{{ $one->id }}" @selected((int) old('registrar') === $one->id)>{{ $one->name }}</option>@endforeach</select>@error('registrar')<p class="wrong">{{ $message }}</p>@enderror</div>@endif
            <x-field name="new_registrar" :label="$registrars->isEmpty() ? 'Whose list it is' : 'Or a registrar not written down yet'" maxlength="200" note="The registrar that the names are kept at"/>
            @if ($registrars->isNotEmpty())<div class="field"><label for="f-account">Account, where a line says none</label><select id="f-account" name="account"><option value="">each line says it</option>@foreach ($registrars as $one)<optgroup label="{{ $one->name }}">@foreach ($one->accounts as $account)<option value="{{ $account->id }}" @selected((int) old('account') === $account->id)>{{ $account->number }}, {{ $account->owner?->name ?? 'the house’s own' }}</option>@endforeach</optgroup>@endforeach</select>@error('account')<p class="wrong">{{ $message }}</p>@enderror</div>@endif
            <x-field name="new_account" :label="__($registrars->isEmpty() ? 'imports.account_of_all' : 'imports.account_new')" maxlength="100" :note="__('imports.account_note')"/>
            <div class="field"><label for="f-client">{{ __(':Served, where a line says none') }}</label><select id="f-client" name="client">@foreach ($clients as $one)<option value="{{ $one->id }}" @selected((int) old('client') === $one->id)>{{ $one->name }}{{ $one->is_house ? ' (ourselves)' : '' }}</option>@endforeach</select>@error('client')<p class="wrong">{{ $message }}</p>@enderror</div>
        </div>
        <label class="tick"><input type="checkbox" name="whole" value="1" @checked(old('whole'))> This file is everything in that account <span class="lesser">Names that the Roll has there and the file has not are told as missing; none is deleted.</span></label>
        <p><button class="main">Look into it</button></p>
    </form>
    @if ($before->isNotEmpty())
        <section class="card" aria-labelledby="before"><h2 id="before">Lists brought in before</h2>
            <dl class="facts">@foreach ($before as $import)<div><dt>{{ $import->registrar->name }}</dt><dd><a href="{{ route('bring-in.show', $import) }}">{{ $import->file }}</a></dd><dd>{{ __('imports.state.'.$import->state->value) }}</dd></div>@endforeach</dl>
        </section>
    @endif
</x-layout>
