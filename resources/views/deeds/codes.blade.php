{{-- $wanting: names whose auth code is not in hand --}}
@if (is_array(session('refused_codes')) && session('refused_codes') !== [])
    <section class="told told-bad" role="alert">
        <p><strong>{{ __('deeds.codes.not_taken') }}</strong></p>
        <ul>
            @foreach (session('refused_codes') as $line)
                <li>{{ $line }}</li>
            @endforeach
        </ul>
    </section>
@endif
@if ($wanting !== [])
    @can('settle')
        <details class="card apart" @if (session('refused_codes')) open @endif>
            <summary>{{ trans_choice('deeds.codes.enter', count($wanting), ['count' => number_format(count($wanting))]) }}</summary>
            <form method="post" action="{{ route('deeds.codes') }}" class="fields" autocomplete="off">@csrf
                <x-field name="codes" type="area" class="mono" :label="__('deeds.codes.label')" :note="__('deeds.codes.said')" rows="4"
                    maxlength="200000" value="" required/>
                <p><button>{{ __('deeds.codes.keep') }}</button></p>
            </form>
        </details>
    @endcan
@endif
