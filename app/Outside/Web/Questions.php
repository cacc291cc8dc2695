<?php

declare(strict_types=1);

namespace App\Outside\Web;

use Acre\Core\Hosting\NotVisited;
use Acre\Core\Hosting\Visit;
use Acre\Core\Hosting\WebAddress;
use CurlHandle;
use CurlMultiHandle;
use RuntimeException;

/** Questions to web servers, some of them under way at once. One that is slow keeps no other waiting. */
final class Questions
{
    /** Octets of a head, after which nobody reads on: more than browsers take. */
    private const HEAD = 64_000;

    /** Connections in a row that nobody takes at an address, before nobody waits there any more. */
    private const SILENT = 3;

    private readonly CurlMultiHandle $many;

    /** @var list<Question> that wait for their turn */
    private array $waiting = [];

    /** @var array<int, array{Question, Head}> by their handles */
    private array $underWay = [];

    /** @var array<string, int> how often in a row nobody took a connection, by address and port */
    private array $silent = [];

    /** @param  int  $seconds  that one answer may take */
    public function __construct(private readonly int $seconds, private readonly int $atOnce)
    {
        $this->many = curl_multi_init();
    }

    public function add(Question $question): void
    {
        $this->waiting[] = $question;
    }

    public function areAnswered(): bool
    {
        return $this->waiting === [] && $this->underWay === [];
    }

    /** @return list<array{Question, Visit, list<string>}> the next ones, with the certificates that were sent, in PEM */
    public function answers(): array
    {
        $answers = $this->begin();
        while ($answers === []) {
            $status = curl_multi_exec($this->many, $running);
            if ($status !== CURLM_OK) {
                throw new RuntimeException('curl: '.curl_multi_strerror($status));
            }
            $answers = $this->ended();
            if ($answers === []) {
                curl_multi_select($this->many, 1.0);
            }
        }

        return $answers;
    }

    /** @return list<array{Question, Visit, list<string>}> those of which it is known without asking */
    private function begin(): array
    {
        $known = [];
        while ($this->waiting !== [] && count($this->underWay) < $this->atOnce) {
            $question = array_shift($this->waiting);
            $dialled = ($this->silent[$question->whom()] ?? 0) >= self::SILENT ? NotVisited::Silent : $question->dialled;
            if ($dialled instanceof NotVisited) {
                $known[] = [$question, Visit::failed($question->page, $dialled), []];

                continue;
            }
            $head = new Head(self::HEAD);
            $curl = $this->handle($question->page, $dialled, $head);
            curl_multi_add_handle($this->many, $curl);
            $this->underWay[spl_object_id($curl)] = [$question, $head];
        }

        return $known;
    }

    /** @param  array{string, int}  $dialled */
    private function handle(WebAddress $page, array $dialled, Head $head): CurlHandle
    {
        $curl = curl_init();
        $url = (string) $page;
        [$address, $port] = $dialled;
        $address = str_contains($address, ':') ? "[{$address}]" : $address;
        $isSet = $url !== '' && $curl !== false && curl_setopt_array($curl, [
            CURLOPT_URL => $url,
            CURLOPT_CONNECT_TO => ["{$page->host}:{$page->port()}:{$address}:{$port}"],
            CURLOPT_PROTOCOLS => CURLPROTO_HTTP | CURLPROTO_HTTPS,
            CURLOPT_PROXY => '',
            CURLOPT_FOLLOWLOCATION => false,
            CURLOPT_TIMEOUT => $this->seconds,
            // Whom it shows itself to be is what we want to know: it is judged afterwards, and nothing secret is sent.
            CURLOPT_SSL_VERIFYPEER => false,
            CURLOPT_SSL_VERIFYHOST => 0,
            CURLOPT_CERTINFO => true,
            CURLOPT_HTTPHEADER => ['Accept: text/html, */*;q=0.5', 'User-Agent: Acre Roll', 'Expect:'],
            CURLOPT_HEADERFUNCTION => fn (CurlHandle $curl, string $line): int => $head->read($line),
            // The page itself is nobody's concern here: fewer than were given, and curl stops.
            CURLOPT_WRITEFUNCTION => fn (CurlHandle $curl, string $bytes): int => 0,
        ]);
        if ($curl === false || ! $isSet) {
            throw new RuntimeException('curl takes an option no more.');
        }

        return $curl;
    }

    /** @return list<array{Question, Visit, list<string>}> */
    private function ended(): array
    {
        $answers = [];
        while (($message = curl_multi_info_read($this->many)) !== false) {
            [$curl, $result] = [$message['handle'], $message['result']];
            assert($curl instanceof CurlHandle && is_int($result));
            [$question, $head] = $this->underWay[spl_object_id($curl)];
            unset($this->underWay[spl_object_id($curl)]);
            $visit = self::visit($question->page, $result, $curl, $head);
            $whom = $question->whom();
            // One page that says nothing is no reason to leave its neighbours at the same address unasked.
            $isTaken = (float) curl_getinfo($curl, CURLINFO_CONNECT_TIME) > 0.0;
            $this->silent[$whom] = $isTaken ? 0 : ($this->silent[$whom] ?? 0) + 1;
            $answers[] = [$question, $visit, self::sent($curl)];
            curl_multi_remove_handle($this->many, $curl);
        }

        return $answers;
    }

    private static function visit(WebAddress $page, int $result, CurlHandle $curl, Head $head): Visit
    {
        $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        $status = is_int($status) ? $status : 0;
        // One of the hundreds below that is no answer yet; and a body that was cut off by us is none of its faults.
        if (($result === CURLE_OK || $result === CURLE_WRITE_ERROR) && $status >= 200 && $status <= 999 && ! $head->isTooLong()) {
            return Visit::answered($page, $status, $head->location());
        }

        return Visit::failed($page, match ($result) {
            CURLE_COULDNT_CONNECT => NotVisited::Closed,
            CURLE_SSL_CONNECT_ERROR => NotVisited::NoTls,
            CURLE_OPERATION_TIMEDOUT, CURLE_GOT_NOTHING, CURLE_RECV_ERROR, CURLE_PARTIAL_FILE => NotVisited::Silent,
            default => NotVisited::Garbled,
        });
    }

    /** @return list<string> PEM */
    private static function sent(CurlHandle $curl): array
    {
        $told = curl_getinfo($curl, CURLINFO_CERTINFO);
        $sent = [];
        foreach (is_array($told) ? $told : [] as $one) {
            if (is_array($one) && is_string($one['Cert'] ?? null)) {
                $sent[] = $one['Cert'];
            }
        }

        return $sent;
    }
}
