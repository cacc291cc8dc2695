<?php

declare(strict_types=1);

namespace App\Console;

use Acre\Core\Contact\ContactFinding;
use Acre\Core\Custody\CustodyFinding;
use Acre\Core\Delegation\DelegationFinding;
use Acre\Core\Delegation\ServersFinding;
use Acre\Core\Disclosure\DisclosureFinding;
use Acre\Core\Dnssec\DnssecFinding;
use Acre\Core\Finding\FindingTag;
use Acre\Core\Hosting\HostingFinding;
use Acre\Core\Hosting\RedirectFinding;
use Acre\Core\Lifecycle\LifecycleFinding;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Registrant\RegistrantFinding;
use Acre\Core\Renewal\KeepingFinding;
use Acre\Core\Renewal\RenewalFinding;
use Acre\Core\Title\BookFinding;
use Acre\Core\Transfer\TransferFinding;
use Acre\Core\Zone\MailFinding;
use Acre\Core\Zone\RecordsFinding;
use App\View\Words;
use Illuminate\Console\Command;

/** Writes docs/findings.md from the code: every finding with its words, what it costs, its cure and who can act. */
final class Findings extends Command
{
    protected $signature = 'acre:findings';

    protected $description = 'Print the list of findings for docs/findings.md';

    public function handle(Words $words): int
    {
        $this->output->write(self::page($words));

        return self::SUCCESS;
    }

    public static function page(Words $words): string
    {
        $lines = [
            '# Every finding',
            '',
            'Made from the code by `./acre artisan acre:findings > docs/findings.md`; a test holds it against the code.',
            '',
        ];
        foreach (
            [
                LifecycleFinding::cases(),
                MovementFinding::cases(),
                BookFinding::cases(),
                RecordFinding::cases(),
                DelegationFinding::cases(),
                HostingFinding::cases(),
                RedirectFinding::cases(),
                TransferFinding::cases(),
                RenewalFinding::cases(),
                KeepingFinding::cases(),
                ServersFinding::cases(),
                DnssecFinding::cases(),
                MailFinding::cases(),
                RecordsFinding::cases(),
                ContactFinding::cases(),
                DisclosureFinding::cases(),
                RegistrantFinding::cases(),
                CustodyFinding::cases(),
            ] as $cases
        ) {
            $lines[] = '## '.ucfirst($cases[0]::area());
            $lines[] = '';
            $lines[] = '| finding | says | missing it costs | cure | who acts |';
            $lines[] = '| --- | --- | --- | --- | --- |';
            $lines = [...$lines, ...array_map(fn (FindingTag $tag): string => self::row($tag, $words), $cases), ''];
        }

        return implode("\n", $lines);
    }

    private static function row(FindingTag $tag, Words $words): string
    {
        $cure = $tag->cure();

        return sprintf(
            '| `%s` | %s | %s | %s | %s |',
            $tag->value,
            $words->say("findings.{$tag::area()}.{$tag->value}"),
            $words->say('words.cost.'.$tag->cost()->name),
            $cure === null ? '' : $words->say('words.cure.'.$cure->value),
            $words->say('words.actor.'.$tag->actor()->value),
        );
    }
}
