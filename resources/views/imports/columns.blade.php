<x-layout title="What its columns are" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('bring-in.create') }}">Bring names in</a> / {{ $import->file }}</nav>
    <h1>What its columns are</h1>
    <p class="sentence">{{ count($import->shape['headings']) }} columns in <strong>{{ $import->file }}</strong>. {{ ($import->shape['habit'] ?? false) ? 'Matched as they were the last time, for a list of '.$import->registrar->name.' with these headings.' : 'Correct what was guessed wrongly; what fits nothing is kept as it is.' }}</p>
    @error('columns')<p class="told told-bad" role="alert">{{ $message }}</p>@enderror
    @error('order')<p class="told told-bad" role="alert">{{ $message }}</p>@enderror
    <form method="post" action="{{ route('bring-in.match', $import) }}">
        @csrf
        <table class="sheet">
            <thead><tr><th scope="col">Heading</th><th scope="col">The first values</th><th scope="col">What it is</th></tr></thead>
            <tbody>
            @foreach ($import->shape['headings'] as $column => $heading)
                <tr>
                    <th scope="row">{{ $heading === '' ? 'column '.($column + 1) : $heading }}</th>
                    <td class="mono lesser-mono" data-label="The first values">{{ Str::limit(collect($import->shape['samples'])->pluck($column)->filter(fn ($v) => ($v ?? '') !== '')->take(3)->join(' · '), 140) }}</td>
                    <td><select name="columns[{{ $column }}]" aria-label="What “{{ $heading }}” is">@foreach ($fields as $field)<option value="{{ $field->value }}" @selected(old('columns.'.$column, $matched[$column] ?? 'raw') === $field->value)>{{ __('imports.field.'.$field->value) }}</option>@endforeach</select></td>
                </tr>
            @endforeach
            </tbody>
        </table>
        <fieldset class="card fields">
            <legend class="hide">Dates</legend>
            <p><span class="label">Dates are written</span> @if (count($orders) === 1) as their own values prove. @else in an order that their own values don’t prove: say which. @endif</p>
            @php($said = old('order', $import->matched['order'] ?? (count($orders) === 1 ? $orders[0]->value : null)))
            <div class="ask">@foreach (Acre\Wire\Lists\DateOrder::cases() as $order)<label class="tick"><input type="radio" name="order" value="{{ $order->value }}" @checked($said === $order->value)> {{ __('imports.order.'.$order->value) }}</label>@endforeach</div>
        </fieldset>
        <p class="turn"><button class="main">Show what would happen</button></p>
    </form>
</x-layout>
