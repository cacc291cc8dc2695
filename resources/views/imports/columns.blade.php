<x-layout :title="__('imports.columns.title')" area="Roll">
    @php($shape = $import->shape)
    @php($headings = $shape['headings'])
    @php($called = fn(int $column): string => $headings[$column] === '' ? __(
        'imports.column',
        ['number' => $column + 1],
    ) : $headings[$column])
    <nav class="trail" aria-label="{{ __('imports.where') }}"><a href="{{ route('imports.create') }}">{{ __('imports.title') }}</a> /
        {{ $import->file }}</nav>
    <h1>{{ __('imports.columns.title') }}</h1>
    <p class="sentence">{{ trans_choice('imports.columns.count', count($headings)) }} <strong>{{ $import->file }}</strong>.
        {{ $shape['habit'] ?? false ? __(
            'imports.columns.habit',
            ['registrar' => $import->registrar->name],
        ) : __('imports.columns.guess') }}
    </p>
    @unless ($shape['names_columns'] ?? false)
        <form method="post" action="{{ route('imports.reading', $import) }}" class="card fields" data-once
            aria-label="{{ __('imports.reading.title') }}">
            @csrf
            <div class="columns">
                @if (count($shape['sheets'] ?? []) > 1)
                    <div class="field"><label for="r-sheet">{{ __('imports.reading.sheet') }}</label><select id="r-sheet" name="sheet">
                            @foreach ($shape['sheets'] as $sheet)
                                <option value="{{ $sheet }}" @selected($sheet === ($shape['sheet'] ?? ''))>{{ $sheet }}</option>
                            @endforeach
                        </select>
                    </div>
                @endif
                <div class="field"><label for="r-headings">{{ __('imports.reading.headings') }}</label><select id="r-headings"
                        name="headings">
                        <option value="1" @selected($shape['has_headings'] ?? true)>{{ __('imports.reading.with') }}</option>
                        <option value="0" @selected(!($shape['has_headings'] ?? true))>{{ __('imports.reading.without') }}</option>
                    </select></div>
                @if (($shape['sheets'] ?? []) === [])
                    <div class="field"><label for="r-encoding">{{ __('imports.reading.encoding') }}</label><select id="r-encoding"
                            name="encoding">
                            <option value="">{{ __('imports.reading.guessed') }}</option>
                            @foreach ($encodings as $encoding)
                                <option value="{{ $encoding->value }}" @selected($encoding->value === ($shape['encoding'] ?? null))>
                                    {{ __('imports.encoding')[$encoding->value] }}</option>
                            @endforeach
                        </select>
                    </div>
                @endif
                <div class="field turn"><button>{{ __('imports.reading.again') }}</button></div>
            </div>
        </form>
    @endunless
    <form method="post" action="{{ route('imports.match', $import) }}" data-once>
        @csrf
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('imports.columns.heading') }}</th>
                    <th scope="col">{{ __('imports.columns.values') }}</th>
                    <th scope="col">{{ __('imports.columns.is') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach (array_keys($headings) as $column)
                    <tr>
                        <th scope="row">{{ $called($column) }}</th>
                        <td class="mono lesser-mono" data-label="{{ __('imports.columns.values') }}">
                            {{ Str::limit(
                                collect($shape['samples'])->pluck($column)->filter(fn($v) => ($v ?? '') !== '')->take(3)->join(' · '),
                                140,
                            ) }}
                        </td>
                        <td><select name="columns[{{ $column }}]"
                                aria-label="{{ __('imports.columns.is_of', ['heading' => $called($column)]) }}">
                                @foreach ($fields as $field)
                                    <option value="{{ $field->value }}"
                                        @selected(old('columns.' . $column, $matched[$column] ?? 'raw') === $field->value)>
                                        {{ __('imports.field.' . $field->value) }}</option>
                                @endforeach
                            </select>
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <fieldset class="card fields">
            <legend class="hide">{{ __('imports.columns.dates') }}</legend>
            <p><span class="label">{{ __('imports.columns.dates') }}</span>
                {{ __(count($orders) === 1 ? 'imports.columns.proven' : 'imports.columns.unproven') }}</p>
            @php($said = old('order', $import->matched['order'] ?? (count($orders) === 1 ? $orders[0]->value : null)))
            <div class="ask">
                @foreach (Acre\Wire\Lists\DateOrder::cases() as $order)
                    <label class="tick"><input type="radio" name="order" value="{{ $order->value }}" @checked($said === $order->value)>
                        {{ __('imports.order.' . $order->value) }}</label>
                @endforeach
            </div>
        </fieldset>
        @if ($import->account_id === null)
            <fieldset class="card fields">
                <legend class="hide">{{ __('imports.columns.account') }}</legend>
                <div class="columns">
                    @if ($accounts->isNotEmpty())
                        <div class="field"><label for="f-account">{{ __('imports.columns.account') }}</label><select id="f-account"
                                name="account">
                                <option value="">
                                    {{ __(in_array('account', $matched, true) ? 'imports.columns.each' : 'imports.columns.choose') }}
                                </option>
                                @foreach ($accounts as $account)
                                    <option value="{{ $account->id }}" @selected(
                                        (int) old('account') === $account->id
                                    )>{{ $account->number }},
                                        {{ $account->owner?->name ?? __('imports.own') }}</option>
                                @endforeach
                            </select></div>
                    @endif
                    <x-field name="new_account" :label="__($accounts->isEmpty() ? 'imports.account_of_all' : 'imports.account_new')"
                        maxlength="100" :note="__('imports.account_note')"/>
                </div>
            </fieldset>
        @endif
        <p class="turn"><button class="main">{{ __('imports.columns.show') }}</button></p>
    </form>
    @include('imports.discard')
</x-layout>
