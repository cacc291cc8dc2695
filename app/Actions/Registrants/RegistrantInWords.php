<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Registrant\DesignatedAgent;
use App\Models\Confirmation;
use App\Models\Docket;
use App\Queries\Names\HeldCase;
use App\View\Words;

/** Another registrant as pages say it, by what they are called, and as proofs do, by number. */
final readonly class RegistrantInWords
{
    public function __construct(private WhoIsMeant $who, private Words $words)
    {
    }

    /** @return array{string, string} before and after, for the proof, which names people by number */
    public function beforeAndAfter(HeldCase $file, RegistrantChosen $chosen): array
    {
        $contact = $this->who->contact($chosen->contactId);
        if ($contact !== null && $this->who->told($file, $chosen) !== null) {
            return [
                "contact {$contact->id}, version ".($file->guard?->told === null ? 0 : $this->who->version($file->guard->told)->number),
                "contact {$contact->id}, version {$contact->today->number}",
            ];
        }

        return [
            $file->guard === null ? $this->words->say('deeds.change_registrant.not_known') : "contact {$file->guard->contact}",
            "contact {$chosen->contactId}",
        ];
    }

    /**
     * @return array{before: array<string, string>, after: array<string, string>} for the page: what they are called, or what of them is
     *     corrected
     */
    public function shown(HeldCase $file, RegistrantChosen $chosen): array
    {
        [$told, $value] = [$this->who->told($file, $chosen), $this->who->value($chosen)];
        if ($told === null || $value === null) {
            return [
                'before' => [
                    'registrant' => $file->registrant === '' ? $this->words->say('deeds.change_registrant.not_known') : $file->registrant,
                ],
                'after' => ['registrant' => $this->called($chosen)],
            ];
        }
        $shown = ['before' => [], 'after' => []];
        foreach ($told->differs($value) as $field) {
            foreach (['before' => $told, 'after' => $value] as $when => $of) {
                $shown[$when][$field->value] =
                    $this->words->say('contacts.field.'.$field->value).
                    ': '.
                    ($of->field($field) ?? $this->words->say('deeds.change_registrant.nothing'));
            }
        }

        return $shown;
    }

    public function called(RegistrantChosen $chosen): string
    {
        return $this->who->contact($chosen->contactId)->today->called ?? "contact {$chosen->contactId}";
    }

    /** For the proof: who said yes and when, and for whom the house did. */
    public function wordsGiven(Docket $docket, RegistrantChosen $chosen): string
    {
        $said = '';
        $given = Confirmation::query()
            ->where('docket_id', $docket->id)
            ->where('confirmed', true)
            ->orderBy('answered_on')
            ->orderBy('id')
            ->get();
        foreach ($given as $one) {
            $said .= $this->words->say('deeds.change_registrant.said_yes', [
                'who' => "contact {$one->contact_id}",
                'on' => $one->answered_on?->isoSecond() ?? '',
            ]);
        }

        return $said.
            ($chosen->agent === DesignatedAgent::Nobody
                ? ''
                : $this->words->say('deeds.change_registrant.as_agent', [
                    'whose' => $this->words->say("words.whose.{$chosen->agent->value}"),
                ]));
    }
}
