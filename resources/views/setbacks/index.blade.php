<x-layout title="Work set aside">
    @can('run')<x-settings current="set-aside"/>@endcan
    <h1>Work set aside</h1>
    <p class="sentence">What fails is set aside, so that it stops nothing else, and is tried again by itself after a wait that grows. “Try again” does it now.</p>
    @if ($setbacks === [] && $jobs === [])
        <p class="empty">Nothing is set aside. Everything that was started goes on.</p>
    @endif
    @if ($setbacks !== [])
        <section class="card" aria-labelledby="set-aside"><h2 id="set-aside">To be tried again</h2><x-setbacks :setbacks="$setbacks"/></section>
    @endif
    @if ($jobs !== [])
        <section class="card apart" aria-labelledby="jobs"><h2 id="jobs">Jobs that failed</h2>
            <p class="lesser">A job that was cut off loses nothing: what it was for is taken up again by the next one. A job that keeps failing points to a fault of this program.</p>
            <dl class="facts facts-wide">
                @foreach ($jobs as $job)
                    <div><dt>{{ $job->job }}</dt><dd><bdi>{{ $job->error }}</bdi><span class="lesser">{{ App\Support\Dates::clock(new DateTimeImmutable($job->failedAt)) }}</span></dd>
                        <dd><form method="post" action="{{ route('set-aside.job', $job->uuid) }}">@csrf<button>Try again</button></form></dd></div>
                @endforeach
            </dl>
        </section>
    @endif
</x-layout>
