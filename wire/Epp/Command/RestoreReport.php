<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppExtended;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use DateTimeImmutable;

/** RFC 3915 §4.2.5: the report that ends a restore, without which the name goes back into redemption. */
final readonly class RestoreReport implements EppExtended
{
    /** The two that a registry wants, as the RFC has them (§2.3.1, §2.3.2 and its example). */
    public const STATEMENTS = [
        'This registrar has not restored the Registered Name in order to assume the rights to use or sell the Registered Name for itself '
            .'or for any third party.',
        'The information in this report is true to best of this registrar\'s knowledge, and this registrar acknowledges that '
            .'intentionally supplying false information in this report shall constitute an incurable material breach of the '
            .'Registry-Registrar Agreement.',
    ];

    /**
     * @param  string  $before  the name’s data as it was before it was deleted
     * @param  string  $after  the same as it is now
     * @param  DateTimeImmutable  $deleted  when it was deleted
     * @param  DateTimeImmutable  $restored  when it was asked to be restored
     * @param  string  $reason  why it is restored
     */
    public function __construct(
        private string $name,
        private string $before,
        private string $after,
        private DateTimeImmutable $deleted,
        private DateTimeImmutable $restored,
        private string $reason,
    ) {
    }

    public function write(EppWriter $to): void
    {
        (new DomainUpdate($this->name, restore: true))->write($to);
    }

    public function isExtended(): bool
    {
        return true;
    }

    public function writeExtension(EppWriter $to): void
    {
        $to->object(
            EppNamespace::Grace,
            'update',
            fn (EppWriter $to) => $to->open(
                'rgp:restore',
                ['op' => 'report'],
                fn (EppWriter $to) => $to->open('rgp:report', [], function (EppWriter $to): void {
                    $to->text('rgp:preData', $this->before)
                        ->text('rgp:postData', $this->after)
                        ->text('rgp:delTime', self::time($this->deleted))
                        ->text('rgp:resTime', self::time($this->restored))
                        ->text('rgp:resReason', $this->reason);
                    foreach (self::STATEMENTS as $statement) {
                        $to->text('rgp:statement', $statement);
                    }
                }),
            ),
        );
    }

    private static function time(DateTimeImmutable $at): string
    {
        return gmdate('Y-m-d\TH:i:s.0\Z', $at->getTimestamp());
    }
}
