{{-- Parent, servers, and whether they agree. --}}
<section class="card" aria-labelledby="answers">
    <h2 id="answers">{{ __('common.name_servers') }}</h2>
    @if ($dns?->delegation !== null)
        @foreach ($dns->delegation->findings($now) as $finding)
            <p class="{{ $finding->tag->cost() === Acre\Core\Finding\Cost::Dark ? 'is-bad' : 'is-soon' }}">
                {{ $words->finding($finding) }}.</p>
        @endforeach
        <dl class="facts facts-hosts">
            @foreach ($dns->delegation->servers as $server)
                <div>
                    <dt class="mono">{{ $server->host }}</dt>
                    <dd><span @class([
                        'is-bad' => $server->answer !== Acre\Core\Delegation\Answer::Authoritative,
                    ])>{{ __('words.answer.' . $server->answer->value) }}</span><span
                            class="lesser mono">{{
                                $server->address ?? __('outside.record.no_address')
                            }}{{ $server->serial === null ? '' : __(
                                'outside.record.zone',
                                ['serial' => $server->serial],
                            ) }}</span>
                    </dd>
                </div>
            @endforeach
            <div>
                <dt>{{ __('outside.record.dnssec') }}</dt>
                <dd>{{ $dns->delegation->isSigned() === null
                    ? __('common.not_known')
                    : ($dns->delegation->isSigned() ? __('outside.record.yes_the_registry_has_a_ds') : 'no') }}
                </dd>
            </div>
            @if ($dns->delegation->ttl !== null)
                <div>
                    <dt>{{ __('outside.record.a_change_takes_effect') }}</dt>
                    <dd>{{ $dns->delegation->ttl >= 3600 ? trans_choice(
                        'outside.record.within_hours',
                        (int) round($dns->delegation->ttl / 3600),
                        ['count' => number_format($dns->delegation->ttl / 3600)],
                    ) : trans_choice('outside.record.within_seconds', $dns->delegation->ttl, [
                        'count' => $dns->delegation->ttl,
                    ]) }}<span
                            class="lesser">{{ __('outside.record.ttl') }}</span></dd>
                </div>
            @endif
        </dl>
    @else
        <p class="lesser">{{ __('outside.record.its_name_servers_have_not_been') }}</p>
    @endif
    @if ($page->operators() !== [])
        <p><x-sentence of="outside.record.operator"><x-slot:servers><span
                        class="mono">{{ collect($page->operators())->join(', ', __('outside.record.or')) }}</span></x-slot>
                        </x-sentence>
        </p>
    @endif
</section>
