{{-- $mail: what the newest copy of its zone says about mail --}}
<section class="card apart" aria-labelledby="mail-h">
    <h2 id="mail-h">{{ __('servers.mail.title') }}</h2>
    @forelse ($mail->findings() as $finding)
        <p class="{{ $finding->tag->cost() === Acre\Core\Finding\Cost::Dark ? 'is-bad' : 'is-soon' }}">{{ $words->finding($finding) }}.</p>
    @empty
        <p class="is-good">{{ __('servers.mail.sound') }}</p>
    @endforelse
    <dl class="facts facts-wide">
        <div>
            <dt>{{ __('servers.mail.exchanges') }}</dt>
            <dd class="mono">{{ $mail->takesNone()
                ? __('servers.mail.takes_none')
                : ($mail->exchanges === [] ? __('servers.mail.none') : implode(' ', $mail->exchanges)) }}</dd>
        </div>
        <div>
            <dt>{{ __('servers.mail.spf') }}</dt>
            <dd>{{ match (true) {
                $mail->spf === null => __('servers.mail.none'),
                $mail->spf->allowsNobody() => __('servers.mail.sends_none'),
                default => trans_choice('servers.mail.lookups', $mail->spf->lookups, ['count' => $mail->spf->lookups]),
            } }}
                @if ($mail->spf !== null && $mail->spf->missing !== [])
                    <span class="lesser">{{ __('servers.mail.not_read') }} <span
                            class="mono">{{ implode(' ', $mail->spf->missing) }}</span></span>
                @endif
            </dd>
        </div>
        <div>
            <dt>{{ __('servers.mail.dkim') }}</dt>
            <dd>{{ $mail->selectors === [] ? __('servers.mail.no_selector') : implode(', ', $mail->selectors) }}</dd>
        </div>
        <div>
            <dt>{{ __('servers.mail.dmarc') }}</dt>
            <dd>{{ $mail->dmarc?->policy === null ? __('servers.mail.none') : __('servers.mail.policy.' . $mail->dmarc->policy) }}</dd>
        </div>
    </dl>
</section>
