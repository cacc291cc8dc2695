<?php

declare(strict_types=1);

namespace App\Http\Answers;

use Acre\Core\Contact\Field;
use Acre\Core\Rulebook\Side;
use Acre\Core\Time\Instant;
use App\Actions\Registrants\SideAnswers;
use App\Models\Confirmation;
use App\Models\Contact;
use App\Models\Link;
use App\Queries\Registrants\NamesAskedAbout;
use App\Support\Masked;
use App\Support\TradeClock;
use App\View\Words;

/** A registrant, the one until then or the new one, says whether they agree to the change. */
final readonly class ConfirmationPage implements AnswerPage
{
    public function __construct(
        private SideAnswers $answers,
        private NamesAskedAbout $names,
        private Words $words,
        private TradeClock $clock,
    ) {
    }

    public function show(Link $link): ?array
    {
        $confirmation = Confirmation::query()->with('docket')->whereNull('answered_on')->find($link->confirmation_id);
        $terms = $confirmation->docket->terms ?? [];
        $new = Contact::query()
            ->with('today.mailbox')
            ->find(is_int($terms['contact'] ?? null) ? $terms['contact'] : 0);
        if ($confirmation === null || $new === null) {
            return null;
        }

        $by = is_string($terms['answer_by'] ?? null) ? Instant::of($terms['answer_by']) : null;

        return [
            'answers.confirm',
            [
                'isNew' => $confirmation->side === Side::New,
                'names' => $this->names->of($confirmation),
                'mailbox' => Masked::mailbox($link->mailbox),
                'who' => $new->today->called,
                'data' => $confirmation->side === Side::New ? $this->data($new) : [],
                'agreement' => is_string($terms['agreement'] ?? null) ? $terms['agreement'] : '',
                'by' => $this->clock->isPast($by) ? null : $by,
            ],
        ];
    }

    public function store(Link $link, string $token, TypedAnswer $typed): ?string
    {
        return match ($typed->accepts()) {
            null => throw NotAnswered::because($this->words->say('letters.answer.neither_agreed')),
            true => $this->answers->yes($token) ? 'agreed' : null,
            false => $this->answers->no($token, $typed->words()) ? 'declined' : null,
        };
    }

    /**
     * @return array<string, string> what is to stand on record, by field, whole: nobody agrees to what they can't read, and only the new
     *     registrant has the link
     */
    private function data(Contact $new): array
    {
        $value = $new->today->value($new->kind);
        $data = [];
        foreach (Field::cases() as $field) {
            $said = $value->field($field);
            if ($said !== null) {
                $data[$field->value] = $said;
            }
        }

        return $data;
    }
}
