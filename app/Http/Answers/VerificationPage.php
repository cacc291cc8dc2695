<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Actions\Verification\RegistrantAnswers;
use App\Models\Contact;
use App\Models\Link;
use App\Models\Mailbox;
use App\Queries\Verification\ReadBoard;
use App\Support\Masked;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Eloquent\Builder;

/** A registrant says that what is on record is right, or what is wrong with it. */
final readonly class VerificationPage implements AnswerPage
{
    public function __construct(
        private RegistrantAnswers $answers,
        private ReadBoard $board,
        private Words $words,
        private TradeClock $clock,
    ) {
    }

    public function show(Link $link): ?array
    {
        $mailbox = $link->mailbox_id === null ? null : Mailbox::query()->find($link->mailbox_id);
        if ($mailbox === null || $mailbox->verified_on !== null) {
            return null;
        }
        $contacts = Contact::query()
            ->whereNull('merged_into')
            ->whereHas('today', fn (Builder $today) => $today->where('mailbox_id', $mailbox->id))
            ->with('today')
            ->limit(10)
            ->get();
        $names = $this->board->names($mailbox->id);
        $by = ($names[0] ?? null)?->instant('verify_by')?->toDay();

        return [
            'answers.verify',
            [
                'names' => $names,
                'by' => $by,
                'isOver' => $this->clock->isPast($by),
                'mailbox' => Masked::mailbox($link->mailbox),
                'contacts' => array_values(
                    array_map(
                        fn (Contact $contact): array => array_filter(
                            [
                                'organisation' => $contact->today->organisation,
                                'name' => $contact->today->person,
                                'town' => $contact->today->town,
                                'country' => $contact->today->country,
                                'street' => $contact->today->street === [] ? null : Masked::value(implode(', ', $contact->today->street)),
                                'voice' => $contact->today->voice === null ? null : Masked::value($contact->today->voice),
                            ],
                            is_string(...),
                        ),
                        $contacts->all(),
                    ),
                ),
            ],
        ];
    }

    public function store(Link $link, string $token, TypedAnswer $typed): ?string
    {
        if ($typed->accepts() === null) {
            throw NotAnswered::because($this->words->say('letters.answer.neither_right'));
        }
        if ($typed->accepts()) {
            return $this->answers->right($token) ? 'verified' : null;
        }
        if ($typed->words() === '') {
            throw NotAnswered::because($this->words->say('letters.answer.say_what'));
        }

        return $this->answers->wrong($token, $typed->words()) ? 'objected' : null;
    }
}
