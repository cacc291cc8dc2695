<?php

declare(strict_types=1);

namespace Acre\Core\Disclosure;

use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Registrant\Guard;
use Acre\Core\Rulebook\Publication;
use Acre\Core\Rulebook\Published;

/**
 * Another choice of what the world reads of a name's holder, judged before it is made: what is ours to choose, who must agree, and what
 * comes otherwise than it was wished.
 */
final readonly class DisclosureChange
{
    /** What `fields` says where there are none. */
    public const NOTHING = 'nothing';

    /**
     * @param  Pattern  $wish  what is to be shown
     * @param  Pattern  $told  the nearest to it that the registrar can be told
     * @param  Pattern|null  $before  what it was told last; null: not known, so everything shown is more
     * @param  bool  $hasPrivacy  whether a privacy service's data is read instead
     * @param  bool  $isAgreed  whether the holder has agreed to be shown more
     */
    public function __construct(
        private Guard $holder,
        private Pattern $wish,
        private Pattern $told,
        private ?Pattern $before,
        private Published $rules,
        private bool $hasPrivacy,
        private bool $isAgreed,
    ) {
    }

    /** @return list<Finding> */
    public function findings(string $suffix, string $registrar): array
    {
        $open = $this->fields(Publication::Choice, Publication::Consent);
        if ($open === []) {
            return [Finding::of(DisclosureFinding::NoChoice, Effect::Stops, null, suffix: $suffix)];
        }
        $more = array_values(
            array_filter($this->told->without($this->before ?? Pattern::of([])), fn (Field $field): bool => in_array($field, $open, true)),
        );
        $never = array_values(array_filter($this->fields(Publication::Redacted), $this->wish->shows(...)));
        $always = array_values(array_filter($this->fields(Publication::Shown), fn (Field $field): bool => ! $this->wish->shows($field)));

        return array_values(
            array_filter([
                $more === [] || $this->isAgreed
                    ? null
                    : Finding::of(
                        DisclosureFinding::NeedsConsent,
                        Effect::Stops,
                        null,
                        fields: self::said($more),
                        who: $this->holder->called,
                    ),
                $never === []
                    ? null
                    : Finding::of(DisclosureFinding::NeverShown, Effect::Worth, null, suffix: $suffix, fields: self::said($never)),
                $always === []
                    ? null
                    : Finding::of(DisclosureFinding::AlwaysShown, Effect::Worth, null, suffix: $suffix, fields: self::said($always)),
                $this->told->equals($this->wish)
                    ? null
                    : Finding::of(
                        DisclosureFinding::CoarserStep,
                        Effect::Worth,
                        null,
                        registrar: $registrar,
                        fields: self::said($this->told->fields),
                    ),
                $this->hidesBusiness()
                    ? Finding::of(DisclosureFinding::BusinessHidden, Effect::Worth, null, who: $this->holder->called)
                    : null,
                $this->hasPrivacy ? Finding::of(DisclosureFinding::PrivacyStandsIn, Effect::Worth) : null,
                $this->kindMatters()
                    ? Finding::of(DisclosureFinding::HolderKindUnknown, Effect::Worth, null, who: $this->holder->called)
                    : null,
            ]),
        );
    }

    private function hidesBusiness(): bool
    {
        return $this->holder->kind === HolderKind::Organisation &&
            $this->before?->shows(Field::Organisation) === true &&
            ! $this->told->shows(Field::Organisation);
    }

    /** Nobody has said whether they are an organisation, and the suffix would redact less of one. */
    private function kindMatters(): bool
    {
        return $this->holder->kind === HolderKind::Unknown &&
            array_filter(
                Field::cases(),
                fn (Field $field): bool => ($this->rules->of($field, HolderKind::Unknown) === Publication::Redacted) !==
                    ($this->rules->of($field, HolderKind::Organisation) === Publication::Redacted),
            ) !== [];
    }

    /** @return list<Field> of which the suffix makes that */
    private function fields(Publication ...$kinds): array
    {
        return array_values(
            array_filter(Field::cases(), fn (Field $field): bool => in_array($this->rules->of($field, $this->holder->kind), $kinds, true)),
        );
    }

    /** @param  list<Field>  $fields */
    private static function said(array $fields): string
    {
        return $fields === [] ? self::NOTHING : implode(', ', array_column($fields, 'value'));
    }
}
