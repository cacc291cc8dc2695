{{-- $handout: whom the auth codes were sent to; null: nobody --}}
@if ($handout !== null)
    <section class="card apart">
        <p>{{ $handout->shown === null
            ? __('deeds.transfer_away.handed', ['mailbox' => $handout->mailbox, 'day' => App\Support\Dates::full($handout->written)])
            : __('deeds.transfer_away.shown', ['mailbox' => $handout->mailbox, 'day' => App\Support\Dates::full($handout->shown)]) }}</p>
        @if ($docket->state === App\Models\DocketState::Settled)
            @can('tick', $docket)
                <form method="post" action="{{ route('dockets.codes', $docket) }}" data-once>@csrf<p><button>{{
                    __('deeds.transfer_away.again')
                }}</button></p></form>
            @endcan
        @endif
    </section>
@endif
