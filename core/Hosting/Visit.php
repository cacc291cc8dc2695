<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

/** One question to a web server, and its answer. */
final readonly class Visit
{
    /**
     * @param  int|null  $status  of HTTP; null: nothing that can be read came
     * @param  string|null  $location  as the server said it; null: it said none
     * @param  NotVisited|null  $fault  why there is no status
     */
    private function __construct(public WebAddress $page, public ?int $status, public ?string $location, public ?NotVisited $fault)
    {
    }

    public static function answered(WebAddress $page, int $status, ?string $location): self
    {
        return new self($page, $status, $location === '' ? null : $location, null);
    }

    public static function failed(WebAddress $page, NotVisited $fault): self
    {
        return new self($page, null, null, $fault);
    }

    /** Where it leads; null: nowhere, or to what is no web address. */
    public function next(): ?WebAddress
    {
        if ($this->status === null || $this->location === null || ! Redirect::isRedirect($this->status)) {
            return null;
        }
        try {
            return $this->page->to($this->location);
        } catch (HostingError) {
            return null;
        }
    }
}
