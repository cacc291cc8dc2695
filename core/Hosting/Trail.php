<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

/** What somebody meets who asks for a page and goes wherever they are sent. */
final readonly class Trail
{
    /** Redirects that browsers follow before they give up: twenty with most; nobody who sees half of that meant it (common practice). */
    public const LONGEST = 10;

    /**
     * @param  list<Visit>  $visits
     * @param  WebAddress|null  $next  that would be asked now
     */
    private function __construct(public WebAddress $first, public array $visits, public ?WebAddress $next, public bool $isLoop)
    {
    }

    public static function from(WebAddress $first): self
    {
        return new self($first, [], $first, false);
    }

    /** The same with one answer more. */
    public function then(Visit $visit): self
    {
        $visits = [...$this->visits, $visit];
        $next = $visit->next();
        $seen = array_map(fn (Visit $one): string => (string) $one->page, $visits);
        $isLoop = $next !== null && in_array((string) $next, $seen, true);

        return new self($this->first, $visits, $isLoop || count($visits) > self::LONGEST ? null : $next, $isLoop);
    }

    public function last(): ?Visit
    {
        return $this->visits[count($this->visits) - 1] ?? null;
    }

    /** Where it ended: also a page that was not asked for, as its host is not listed. */
    public function end(): WebAddress
    {
        return $this->next ?? $this->last()->page ?? $this->first;
    }

    public function isEndless(): bool
    {
        return $this->isLoop || (count($this->visits) > self::LONGEST && $this->last()?->next() !== null);
    }

    /** @return list<Visit> those that sent it on, but for a host's step to its own secure pages */
    public function redirects(): array
    {
        return array_values(array_filter($this->visits, function (Visit $visit): bool {
            $next = $visit->next();

            return $next !== null && ! (! $visit->page->isSecure && $next->isSecure && $visit->page->isSamePageAs($next));
        }));
    }

    /** The redirect that leads to a page; null: none does. */
    public function to(WebAddress $target): ?Visit
    {
        foreach ($this->visits as $visit) {
            if ($visit->next()?->isSamePageAs($target) === true && ! $visit->page->isSamePageAs($target)) {
                return $visit;
            }
        }

        return null;
    }

    public function reaches(WebAddress $target): bool
    {
        return $this->to($target) !== null;
    }
}
