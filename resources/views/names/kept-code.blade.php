{{-- The auth code: that it is kept, and what may be done with it; never the code itself. --}}
<section class="card" aria-labelledby="code-h">
    <h2 id="code-h">{{ __('names.kept_code.auth_code') }}</h2>
    <p>
        @if ($code === null)
            {{ __('names.kept_code.none') }} <a
                href="{{ route('deeds.show', ['request_code', 'name' => $name->ascii]) }}">{{ __('names.kept_code.request') }}</a>
        @else
            {{ __('names.kept_code.stored_' . $code->got_from, ['day' => App\Support\Dates::full($code->got_on)]) }} <a
                href="{{ route('deeds.show', ['request_code', 'name' => $name->ascii]) }}">{{ __('names.kept_code.request_new') }}</a>
        @endif
    </p>
    @if ($code !== null)
        @can('settle')
            <form method="post" action="{{ route('names.code.show', $name) }}" class="fields">@csrf
                <div class="columns"><x-own-password name="own_password" :label="__('names.kept_code.your_own_password')" /></div>
                <p><button>{{ __('names.kept_code.show_the_code') }}</button></p>
            </form>
            <form method="post" action="{{ route('names.code.store', $name) }}" data-once>@csrf<input type="hidden" name="code"
                    value="">
                <p><button>{{ __('names.kept_code.delete_the_code') }}</button> <span
                        class="lesser">{{ __('names.kept_code.here_only_it_stays_the_same_at') }}</span></p>
            </form>
        @endcan
    @endif
    @can('settle')
        <details @if ($errors->has('code')) open @endif>
            <summary>{{ __('names.kept_code.add_one') }}</summary>
            <form method="post" action="{{ route('names.code.store', $name) }}" class="fields" data-once>@csrf
                <div class="columns">
                <x-field name="code" :label="__('names.kept_code.auth_code_from_the_registrar')" type="password" autocomplete="off"
                    required maxlength="100"/>
                </div>
                <p><button>{{ __('common.save') }}</button></p>
            </form>
        </details>
    @endcan
</section>
