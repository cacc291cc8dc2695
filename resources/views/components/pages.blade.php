@if ($paginator->hasPages())
    <nav class="turn" aria-label="Pages">
        @if (! $paginator->onFirstPage())<a href="{{ $paginator->previousPageUrl() }}" rel="prev">The ones before</a>@endif
        @if ($paginator->hasMorePages())<a href="{{ $paginator->nextPageUrl() }}" rel="next">The next ones</a>@endif
    </nav>
@endif
