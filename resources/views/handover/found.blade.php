@forelse ($candidates as $one)
    <a href="{{ $request->address(['receiver' => $one->id, 'client' => null]) }}"
        @if ($request->receiverId() === $one->id) aria-current="true" @endif><strong>{{
            $one->owner?->name ?? __('handover.found.our_own')
        }}</strong>,
        {{ $one->registrar->name }} <span class="mono">{{ $one->number }}</span><span
            class="lesser">{{ implode(' · ', array_filter([$one->login, $one->mailbox, $one->handle])) }}</span></a>
@empty
    <p>{{ __('handover.found.none') }} <a href="{{ route('accounts.create') }}">{{ __('handover.found.add') }}</a></p>
@endforelse
