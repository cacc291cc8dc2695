@forelse ($candidates as $one)
    <a href="{{ $request->address(['receiver' => $one->id, 'client' => null]) }}" @if ($request->receiverId() === $one->id) aria-current="true" @endif><strong>{{ $one->owner?->name ?? 'The house’s own' }}</strong>, {{ $one->registrar->name }} <span class="mono">{{ $one->number }}</span><span class="lesser">{{ implode(' · ', array_filter([$one->login, $one->mailbox, $one->handle])) }}</span></a>
@empty
    <p>No account answers to that. <a href="{{ route('accounts.create') }}">Write one down</a></p>
@endforelse
