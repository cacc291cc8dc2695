@if ($paginator->hasPages())
    <nav class="turn" aria-label="{{ __('common.pages') }}">
        @if (!$paginator->onFirstPage())
            <a href="{{ $paginator->previousPageUrl() }}" rel="prev">{{ __('components.pages.previous') }}</a>
        @endif
        @if ($paginator->hasMorePages())
            <a href="{{ $paginator->nextPageUrl() }}" rel="next">{{ __('common.next') }}</a>
        @endif
    </nav>
@endif
