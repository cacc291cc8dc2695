<?php

declare(strict_types=1);

namespace App\Http\Names;

use Acre\Core\Zone\Comparison;
use Acre\Core\Zone\MailSaid;
use Acre\Core\Zone\ZoneCopy;
use App\Actions\Servers\KeepZone;
use App\Http\SignedInRequest;
use App\Models\Name;
use App\Models\NamedSet;
use App\Queries\Servers\KeptZones;
use App\Queries\Servers\ReadMailFaults;
use App\Queries\Servers\ServerChecks;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** The zone of a name as it was: copies, what differs between two of them, and one of them as a file. */
final readonly class ZoneController
{
    public function __construct(
        private KeptZones $kept,
        private ServerChecks $checks,
        private ReadMailFaults $mail,
        private Words $words,
    ) {
    }

    public function index(Name $name, SignedInRequest $request): View
    {
        $copies = $this->kept->of($name->id);
        [$before, $after] = [$request->word('before'), $request->word('after')];
        // Unless somebody chose: the newest beside the one before it.
        $before = $before === '' ? (string) ($copies[1]->id ?? '') : $before;
        $after = $after === '' ? (string) ($copies[0]->id ?? '') : $after;
        [$one, $other] = [$this->copy($name, $before), $this->copy($name, $after)];

        return view('names.zones', [
            'name' => $name,
            'copies' => $copies,
            'sets' => NamedSet::query()->orderBy('name')->limit(1_000)->pluck('name', 'id')->all(),
            'before' => $before,
            'after' => $after,
            'mail' => $copies === [] ? null : $this->mailOf($name, $copies[0]->id),
            'comparison' => $one === null || $other === null ? null : Comparison::of($one, $other),
            'words' => $this->words,
        ]);
    }

    /** Asks its present servers, and keeps what they have. */
    public function keep(Name $name, KeepZone $keep): RedirectResponse
    {
        return to_route('names.zones', $name)->with('told', $this->words->say('servers.zones.'.$keep->now($name)));
    }

    public function store(Name $name, ZoneRequest $request, KeepZone $keep): RedirectResponse
    {
        $read = $keep->read($name, $request->text(), $request->isUpload() ? 'uploaded' : 'pasted', $request->toldBy());
        $back = to_route('names.zones', $name);

        return $read->records === 0
            ? $back->withInput(['zone' => $request->isUpload() ? '' : $request->text()])->with('refused', $read->refused)->withErrors([
                'zone' => $this->words->say('servers.zones.nothing_read'),
            ])
            : $back->with('told', $this->words->count('servers.zones.read', $read->records))->with('refused', $read->refused);
    }

    public function file(Name $name, int $copy): Response
    {
        $zone = $this->kept->copy($name->id, $copy) ?? abort(404);

        return new Response($zone->asFile(), 200, [
            'Content-Type' => 'text/dns; charset=us-ascii',
            'Content-Disposition' => "attachment; filename=\"{$name->ascii}.zone\"",
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    private function mailOf(Name $name, int $newest): ?MailSaid
    {
        $zone = $this->kept->copy($name->id, $newest);

        return $zone === null ? null : MailSaid::of($zone, $this->mail->elsewhere($name->id));
    }

    /** A kept copy by its number, or what the servers of a set said last (`set-3`). */
    private function copy(Name $name, string $which): ?ZoneCopy
    {
        if (preg_match('/\A\d{1,15}\z/', $which) === 1) {
            return $this->kept->copy($name->id, (int) $which);
        }
        $set = preg_match('/\Aset-(\d{1,15})\z/', $which, $found) === 1 ? NamedSet::query()->find((int) $found[1]) : null;

        return $set === null ? null : $this->checks->of([$name->id], $set->value())[$name->id]->after ?? null;
    }
}
