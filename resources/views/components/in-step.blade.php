{{-- Before a deed on the sheaf: other names match today than when all that matched was ticked. --}}
@inject('current', App\View\CurrentSheaf::class)
@if ($current->isOutOfStep())
    <div class="card told-soon">
        <p>{{ __('components.in_step.differs') }} <a href="{{ route('sheaf.show') }}">{{ __('components.in_step.compare') }}</a></p>
    </div>
@endif
