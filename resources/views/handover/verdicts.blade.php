{{-- Name by name, what can be done. --}}
<table class="sheet">
    <thead>
        <tr>
            <th scope="col">{{ __('common.name') }}</th>
            <th scope="col">{{ __('common.ends') }}</th>
            <th scope="col">{{ __('common.today') }}</th>
            <th scope="col">{{ __('handover.show.reasons') }}</th>
            <th scope="col">{{ __('common.what_to_do') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($givers as $group)
            @if ($givers->count() > 1)
                <tr class="group">
                    <th colspan="5" scope="rowgroup">
                        {{ __(
                            'handover.show.from',
                            [
                                'registrar_name' => $group[0]->file->registrarName(),
                                'number' => $group[0]->file->account()?->number,
                                'count' => $what($group->count()),
                            ],
                        ) }}
                    </th>
                </tr>
            @endif
            @foreach ($shownOf[$group[0]->giver()] ?? [] as $one)
                <tr>
                    <th scope="row"><a class="name"
                            href="{{ route('names.show', $one->file->facts->name->ascii) }}">{{ $one->file->facts->name->unicode }}</a>
                    </th>
                    <td data-label="{{ __('common.ends') }}">
                        {{ $one->file->facts->ends === null
                            ? __('common.not_known')
                            : App\Support\Dates::full($one->file->facts->ends) }}
                    </td>
                    <td><x-verdict :readiness="$one->readiness" :words="$words" /></td>
                    <td>
                        @forelse ($one->readiness->inOrder() as $finding)
                        <span class="reason">{{ $words->finding($finding) }}.</span>@empty<span
                                class="lesser">{{ __('handover.show.nothing') }}</span>
                        @endforelse
                    </td>
                    <td>@include('deeds.cures', ['findings' => $one->readiness->reasons(), 'file' => $one->file])</td>
                </tr>
            @endforeach
        @endforeach
    </tbody>
</table>
