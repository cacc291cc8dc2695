{{-- Before a deed on the sheaf: other names match today than when all that matched was ticked. --}}
@inject('current', App\View\CurrentSheaf::class)
@if ($current->isOutOfStep())
    <div class="card told-soon"><p>Other names match what you ticked than when you ticked it. This page is of those that you saw; <a href="{{ route('sheaf.show') }}">the sheaf</a> shows the difference, and can follow.</p></div>
@endif
