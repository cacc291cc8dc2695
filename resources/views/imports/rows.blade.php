@inject('fact', App\View\ImportedFact::class)
@if ($verdict === 'missing' && $rows->isNotEmpty())
    <p>
        {{ __('imports.rows.missing', ['account' => (string) $import->account?->number]) }}</p>
@endif
<table class="sheet">
    <caption class="hide">{{ __('imports.rows.caption', ['verdict' => __('imports.verdict.' . $verdict)]) }}</caption>
    <thead>
        <tr>
            <th scope="col" class="sum">{{ __('imports.rows.line') }}</th>
            <th scope="col">{{ __('imports.rows.name') }}</th>
            <th scope="col">{{ __('imports.rows.what.' . $verdict) }}</th>
        </tr>
    </thead>
    <tbody>
        @forelse ($rows as $one)
            @php($row = App\Support\Row::of($one))
            @php($ascii = $row->textOrNull('ascii'))
            <tr>
                <td class="sum" data-label="{{ __('imports.rows.line') }}">{{ $verdict === 'missing' ? '' : $row->int('line') }}</td>
                <th scope="row">
                    @if ($ascii === null)
                    <span class="mono">{{ $row->json('reason')['value'] ?? '' }}</span>@else<span
                            class="name">{{ Acre\Core\Name\DomainName::of($ascii)->unicode }}</span>
                        @foreach (Acre\Core\Name\DomainName::of($ascii)->findings() as [$finding, $about])
                            <span class="lesser is-soon">{{ $words->say('names.' . $finding->value, ['about' => $about]) }}</span>
                        @endforeach
                    @endif
                </th>
                <td>
                    @if ($verdict === 'refused')
                        {{ $row->json('reason')['why'] ?? '' }}
                    @elseif ($verdict === 'missing')
                        <a href="{{ route('names.show', $ascii) }}">{{ __('imports.rows.open') }}</a>
                    @elseif ($verdict === 'changed')
                        @foreach ($row->json('changes') as [$field, $before, $after])
                            <span class="reason"><span class="lesser-word">{{ $fact->label($field) }}:</span>
                                {{ $fact->value($field, $before) }} → <strong>{{ $fact->value($field, $after) }}</strong></span>
                        @endforeach
                    @else
                        @foreach ($row->json('facts') as $field => $value)
                            <span class="fact"><span class="lesser-word">{{ $fact->label($field) }}</span>
                                {{ $fact->value($field, $value) }}</span>
                        @endforeach
                    @endif
                </td>
            </tr>
        @empty
            <tr>
                <td colspan="3">{{ __('imports.rows.none', ['verdict' => __('imports.verdict.' . $verdict)]) }}</td>
            </tr>
        @endforelse
    </tbody>
</table>
{{ $rows->links('components.pages') }}
