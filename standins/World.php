<?php

declare(strict_types=1);

namespace Standin;

use Acre\Wire\Json\JsonNode;
use RuntimeException;
use Standin\Dns\Mood;
use Standin\Registry\Registered;
use Standin\Registry\Registry;

/** What is so in the simulated world, and how time passes there. */
final readonly class World
{
    public const BOOTSTRAP_HOST = 'bootstrap.example';

    public WorldClock $clock;

    public function __construct(public Store $store)
    {
        $this->clock = new WorldClock($store);
    }

    public function now(): int
    {
        return $this->clock->now();
    }

    public function published(string $name): ?Registered
    {
        return $this->store->published($name, $this->now());
    }

    /** Keeps a changed name; its registry's directory shows it as late as it always does. */
    public function change(Registered $name): void
    {
        $registry = Registry::for($name->name) ?? throw new RuntimeException("No registry here has {$name->name}.");
        $name->updated = $this->now();
        $name->due = $registry->habit->due($name);
        $this->store->put($name, $registry->behind === 0 ? null : $this->now() + $registry->behind);
    }

    /** Lets happen, in order, what time brought about since. */
    public function pass(): void
    {
        $now = $this->now();
        while (($name = $this->store->firstDue($now)) !== null) {
            $habit = Registry::for($name->name)->habit ?? throw new RuntimeException("No registry here has {$name->name}.");
            $gone = $name->name;
            $name = $habit->pass($name, $name->due ?? $now);
            $name === null ? $this->store->remove($gone) : $this->store->put($name);
        }
    }

    public function moveTo(int $epoch): void
    {
        $this->clock->set($epoch);
        $this->store->together($this->pass(...));
    }

    /**
     * Adds what a document tells: instant, names, hosts with their addresses, their moods, and what stands in zones.
     *
     * @param  bool  $anew  whether all that was is forgotten first
     */
    public function load(JsonNode $document, bool $anew): void
    {
        $this->store->together(function () use ($document, $anew): void {
            if ($anew) {
                $this->store->empty();
                $this->clock->set($document->intOrNull('now') ?? time());
            }
            foreach ($document->nodes('names') as $node) {
                $name = Registered::of($node);
                $name->due ??= Registry::for($name->name)?->habit->due($name);
                $this->store->put($name);
            }
            foreach ($document->nodes('hosts') as $host) {
                $this->store->putHost($host->text('host'), $host->texts('addresses'));
            }
            foreach ($document->nodes('moods') as $mood) {
                $this->store->putMood($mood->text('address'), Mood::from($mood->text('mood'))->value);
            }
            foreach ($document->nodes('zones') as $zone) {
                $this->store->putRecords($zone->text('zone'), $zone->text('records'));
            }
        });
    }
}
