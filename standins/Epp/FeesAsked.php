<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Prices;
use Standin\World;

/** What is asked of prices with a check, and what is answered (RFC 8748 §3 and §5.1.1). */
final readonly class FeesAsked
{
    private const PRICED = ['create', 'renew', 'transfer', 'restore'];

    /** @param  list<XmlNode>  $commands */
    private function __construct(private array $commands, private World $world)
    {
    }

    /** @throws EppRefusal with the codes that the RFC names */
    public static function of(XmlNode $check, World $world): self
    {
        $fee = EppNamespace::Fee->value;
        if (($check->textOrNull($fee, 'currency') ?? Prices::CURRENCY) !== Prices::CURRENCY) {
            throw EppRefusal::because(EppCode::ValueRange, 'Prices are in '.Prices::CURRENCY.' here.');
        }
        foreach ($check->children($fee, 'command') as $command) {
            if ($command->attribute('subphase') !== null && $command->attribute('phase') === null) {
                throw EppRefusal::because(EppCode::MissingParameter, 'A subphase is one of a phase.');
            }
            if ($command->attribute('phase') !== null) {
                throw EppRefusal::because(EppCode::ValueRange, 'Nothing is sold in phases here.');
            }
        }

        return new self($check->children($fee, 'command'), $world);
    }

    /** @param  array<string, string|null>  $names  why nothing can be had of each; null: it can */
    public function write(EppWriter $to, array $names): void
    {
        $to->object(EppNamespace::Fee, 'chkData', function (EppWriter $to) use ($names): void {
            $to->text('fee:currency', Prices::CURRENCY);
            foreach ($names as $name => $why) {
                $to->open('fee:cd', ['avail' => $why === null ? '1' : '0'], function (EppWriter $to) use ($name, $why): void {
                    $to->text('fee:objID', (string) $name);
                    if ($why === null && Prices::isPremium(strtolower((string) $name))) {
                        $to->text('fee:class', 'premium');
                    }
                    foreach ($why === null ? $this->commands : [] as $command) {
                        $this->command($to, $command, strtolower((string) $name));
                    }
                    if ($why !== null) {
                        $to->text('fee:reason', $why);
                    }
                });
            }
        });
    }

    private function command(EppWriter $to, XmlNode $command, string $name): void
    {
        $what = $command->attribute('name') ?? '';
        $period = $command->childOrNull(EppNamespace::Fee->value, 'period');
        $years = $period === null ? 1 : (int) $period->text();
        $isPriced =
            in_array($what, self::PRICED, true) &&
            ($period?->attribute('unit') ?? 'y') === 'y' &&
            $years <= ($what === 'transfer' ? 1 : DomainGround::YEARS_AHEAD);
        $isStandard = $isPriced && ! Prices::isPremium($name);
        $to->open('fee:command', ['name' => $what, ...$isStandard ? ['standard' => '1'] : []], function (EppWriter $to) use (
            $what,
            $name,
            $period,
            $years,
            $isPriced,
        ): void {
            if ($what !== 'restore') {
                $to->text('fee:period', (string) $years, ['unit' => $period?->attribute('unit') ?? 'y']);
            }
            $isPriced
                ? $to->text('fee:fee', Prices::written($this->world->prices->of($what, $name, $this->world->now(), $years)))
                : $to->text('fee:reason', 'That is not sold here.');
        });
    }
}
