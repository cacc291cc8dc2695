<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppWriter;

/** What of a contact is to be shown, or not to be, other than by the server's own policy (RFC 5733 §2.9). */
final readonly class Disclose
{
    /** Elements that stand once a form of the address: `int` and `loc`. */
    private const BY_FORM = ['name', 'org', 'addr'];

    /** In the order that the schema wants. */
    private const ORDER = ['name', 'org', 'addr', 'voice', 'fax', 'email'];

    /**
     * @param  bool  $isShown  whether those that are named are shown; the others go by the server's policy
     * @param  non-empty-list<'name'|'org'|'addr'|'voice'|'fax'|'email'>  $elements
     */
    public function __construct(public bool $isShown, public array $elements)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open('contact:disclose', ['flag' => $this->isShown ? '1' : '0'], function (EppWriter $to): void {
            foreach (array_intersect(self::ORDER, $this->elements) as $element) {
                if (! in_array($element, self::BY_FORM, true)) {
                    $to->sign("contact:{$element}");

                    continue;
                }
                foreach (['int', 'loc'] as $form) {
                    $to->sign("contact:{$element}", ['type' => $form]);
                }
            }
        });
    }
}
