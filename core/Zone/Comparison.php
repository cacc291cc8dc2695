<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** Where two copies of a zone differ: neither order, case, signatures nor the serial count; nor what one of them was not read of. */
final readonly class Comparison
{
    /**
     * @param  list<Difference>  $differences  the zone itself first, then by host from the zone downwards
     * @param  int  $same  sets that say the same
     */
    private function __construct(public array $differences, public int $same)
    {
    }

    public static function of(ZoneCopy $before, ZoneCopy $after): self
    {
        $differences = [];
        $same = 0;
        $unread = array_flip([...$before->unread, ...$after->unread]);
        foreach (array_diff_key($before->sets + $after->sets, $unread) as $key => $either) {
            [$one, $other] = [$before->sets[$key] ?? null, $after->sets[$key] ?? null];
            if ($one !== null && $other !== null && $one->saysTheSameAs($other)) {
                $same++;
                if ($one->ttl === $other->ttl) {
                    continue;
                }
            }
            $differences[] = new Difference($before->zone, $either->host, $either->type, $one, $other);
        }
        usort($differences, fn (Difference $a, Difference $b): int => $a->order() <=> $b->order());

        return new self($differences, $same);
    }

    /** @return list<Difference> those by which the second says less, or something else */
    public function losses(): array
    {
        return array_values(array_filter($this->differences, fn (Difference $one): bool => $one->isLoss()));
    }

    /** What the first has, and the second hasn't or has otherwise: what is to be put there. */
    public function toPut(string $zone): ZoneCopy
    {
        $sets = array_filter(array_map(fn (Difference $one): ?EntrySet => $one->before, $this->losses()));

        return ZoneCopy::of($zone, array_merge(...array_map(fn (EntrySet $set): array => $set->entries(), array_values($sets))));
    }

    /** @return list<Service> what they would break, each once, the worst first */
    public function breaks(): array
    {
        $services = array_map(fn (Difference $one): Service => $one->service(), $this->losses());

        return array_values(array_filter(Service::cases(), fn (Service $service): bool => in_array($service, $services, true)));
    }
}
