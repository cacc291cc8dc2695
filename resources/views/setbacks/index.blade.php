<x-layout :title="__('common.failed_work')">
    @can('run')
        <x-settings current="failed-work" />
    @endcan
    <h1>{{ __('common.failed_work') }}</h1>
    <p class="sentence">{{ __('setbacks.index.work_that_failed_is_set_aside') }}</p>
    @if ($setbacks === [] && $jobs === [])
        <p class="empty">{{ __('setbacks.index.nothing_has_failed') }}</p>
    @endif
    @if ($setbacks !== [])
        <section class="card" aria-labelledby="failed-work">
            <h2 id="failed-work">{{ __('setbacks.index.waiting_to_be_retried') }}</h2><x-setbacks :setbacks="$setbacks" />
        </section>
    @endif
    @if ($jobs !== [])
        <section class="card apart" aria-labelledby="jobs">
            <h2 id="jobs">{{ __('setbacks.index.jobs_that_failed') }}</h2>
            <p class="lesser">{{ __('setbacks.index.a_job_that_was_cut_off_loses') }}</p>
            <dl class="facts facts-wide">
                @foreach ($jobs as $job)
                    <div>
                        <dt>{{ $job->job }}</dt>
                        <dd><bdi>{{ $job->error }}</bdi><span
                                class="lesser">{{ App\Support\Dates::clock(new DateTimeImmutable($job->failedAt)) }}</span></dd>
                        <dd>
                            <form method="post" action="{{ route('failed-work.job', $job->uuid) }}">
                                @csrf<button>{{ __('setbacks.index.try_again') }}</button></form>
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
</x-layout>
