@foreach (collect($findings)->filter(fn ($f) => ! in_array($f->tag->cure(), [null, Acre\Core\Finding\Cure::LeaveOut], true))->unique(fn ($f) => $f->tag->cure()->value)->take(2) as $finding)
@php($says = __('words.cure.'.$finding->tag->cure()->value))
<span class="reason">@switch($finding->tag->cure())
@case(Acre\Core\Finding\Cure::SeeDocket)<a href="{{ route('dockets.show', $finding->with['docket']) }}">Docket {{ $finding->with['docket'] }}</a>@break
@case(Acre\Core\Finding\Cure::LookAtRecord)
@case(Acre\Core\Finding\Cure::SettleDrift)<a href="{{ route('record.show', $file->facts->name->ascii) }}">{{ $says }}</a>@break
@case(Acre\Core\Finding\Cure::SayWhen)
@case(Acre\Core\Finding\Cure::ChangeIntent)<a href="{{ route('names.edit', $file->facts->name->ascii) }}">{{ $says }}</a>@break
@case(Acre\Core\Finding\Cure::GainAccess)<a href="{{ route('accounts.show', $file->account->id) }}">{{ $says }}</a>@break
@case(Acre\Core\Finding\Cure::AskReceiver)@if (($receiver ?? null) !== null)<a href="{{ route('accounts.edit', $receiver->id) }}">{{ $says }}</a>@else{{ $says }}@endif @break
@case(Acre\Core\Finding\Cure::RenewFirst){{ $says }}{{ $file->late->renew === null ? '' : ', '.$file->late->renew->text() }}@break
@default{{ $says }}
@endswitch</span>
@endforeach
