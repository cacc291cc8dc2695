<x-layout :title="__('servers.mails.title')" area="Outside">
    @include('outside.ways')
    <div class="head">
        <div>
            <h1>{{ __('servers.mails.title') }}</h1>
            <p class="sentence">{{ __('servers.mails.' . match (true) {
                $progress->read === 0 => 'none_read',
                $faults === [] => 'none',
                default => 'said',
            }) }} <span class="lesser">{{ __('servers.mails.progress', [
                'read' => number_format($progress->read),
                'of' => number_format($progress->of),
            ]) }}</span></p>
        </div>
        @if ($faults !== [])
            <form method="post" action="{{ route('servers.mail.ask') }}" class="head-deeds">@csrf<button>{{
                __('servers.mails.ask')
            }}</button></form>
        @endif
    </div>
    @if ($faults !== [])
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('servers.mails.finding') }}</th>
                    <th scope="col">{{ __('common.names') }}</th>
                    <th scope="col">{{ __('servers.faults.since') }}</th>
                    <th scope="col">{{ __('common.what_to_do') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($faults as $fault)
                    <tr>
                        <th scope="row"><span
                                class="{{ $fault->cost->value <= Acre\Core\Finding\Cost::Dark->value ? 'is-bad' : 'is-soon' }}">{{
                            __('servers.mails.kind.' . $fault->finding->value)
                        }}</span></th>
                        <td data-label="{{ __('common.names') }}">
                            @include('servers.few', ['to' => 'names.zones'])
                        </td>
                        <td data-label="{{ __('servers.faults.since') }}">{{
                            $fault->since === null ? '' : App\Support\Dates::full($fault->since)
                        }}</td>
                        <td data-label="{{ __('common.what_to_do') }}">
                            {{ __('servers.mails.cure.' . $fault->finding->value) }}
                            @include('servers.gather', ['to' => 'servers.mail.gather', 'of' => ['finding' => $fault->finding->value]])
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
