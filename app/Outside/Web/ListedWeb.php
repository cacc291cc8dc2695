<?php

declare(strict_types=1);

namespace App\Outside\Web;

use Acre\Core\Hosting\NotVisited;
use Acre\Core\Hosting\TrustedRoots;
use Acre\Core\Hosting\WebAddress;
use App\Outside\Dns\Dns;
use App\Outside\Reach\Hosts;
use App\Support\TradeClock;

/**
 * Over HTTP, at addresses that the settings list and at no other: where a host is was looked up here, and what was judged is what is
 * dialled. Nothing of a page but its head is read, and nothing is sent that anybody could want.
 */
final class ListedWeb implements Web
{
    private ?TrustedRoots $roots = null;

    /**
     * @param  string|null  $authority  a file of certificates that are trusted instead of the machine's own
     * @param  int  $seconds  that one answer may take
     * @param  int  $atOnce  questions under way
     */
    public function __construct(
        private readonly Hosts $reach,
        private readonly Dns $dns,
        private readonly TradeClock $clock,
        private readonly ?string $authority,
        private readonly int $seconds,
        private readonly int $atOnce,
    ) {
    }

    public function look(array $asked, callable $told): void
    {
        $addresses = $this->addresses(array_map(fn (SiteAsked $one): string => $one->host, $asked));
        $walks = array_map(fn (SiteAsked $one): SiteWalk => new SiteWalk($one, $addresses[$one->host]), $asked);
        $questions = new Questions($this->seconds, $this->atOnce);
        while ($walks !== []) {
            $unknown = [];
            foreach ($walks as $walk) {
                foreach ($walk->toAsk() as $trail => $page) {
                    if (isset($addresses[$page->host])) {
                        $walk->ask($trail);
                        $questions->add(new Question($walk, $trail, $page, $this->dialled($page, $addresses[$page->host])));
                    } else {
                        $unknown[] = $page->host;
                    }
                }
            }
            // Looked up once nobody is left to answer: who is asked meanwhile would seem slow.
            if ($questions->areAnswered()) {
                $addresses += $this->addresses($unknown);

                continue;
            }
            foreach ($questions->answers() as [$question, $visit, $sent]) {
                $question->walk->visited($question->trail, $visit, $sent);
            }
            foreach (array_filter($walks, fn (SiteWalk $walk): bool => $walk->isOver()) as $number => $walk) {
                unset($walks[$number]);
                $told($walk->asked, $walk->seen($this->roots(), $this->clock->now()));
            }
        }
    }

    /**
     * @param  list<string>  $addresses
     * @return array{string, int}|NotVisited
     */
    private function dialled(WebAddress $page, array $addresses): array|NotVisited
    {
        foreach ($addresses as $address) {
            $dialled = $this->reach->web($address, $page->port());
            if ($dialled !== null) {
                return $dialled;
            }
        }

        return $addresses === [] ? NotVisited::NoAddress : NotVisited::NotListed;
    }

    /**
     * @param  list<string>  $hosts
     * @return array<string, list<string>> by host; those that none was found of have none
     */
    private function addresses(array $hosts): array
    {
        $found = array_fill_keys($hosts, []);
        $this->dns->addresses(array_map(strval(...), array_keys($found)), function (string $host, array $addresses) use (&$found): void {
            $found[$host] = array_values(array_unique(array_filter($addresses, is_string(...))));
        });

        return $found;
    }

    private function roots(): TrustedRoots
    {
        $file = $this->authority ?? openssl_get_cert_locations()['default_cert_file'];

        return $this->roots ??= TrustedRoots::of(is_file($file) ? (string) file_get_contents($file) : '');
    }
}
