<?php

declare(strict_types=1);

namespace Standin\Post;

use Acre\Wire\Mail\MailLetter;
use Standin\Control\Sheet;
use Standin\Http\HttpResponse;
use Standin\World;

/** The letterbox: every letter of this world as it looks, in a frame that can do nothing, and the links that stand in it. */
final readonly class LetterPages
{
    private const LATEST = 200;

    /** What a foreign letter may do: show itself. A link opens outside the frame. */
    private const FRAME = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox allow-popups "
        .'allow-popups-to-escape-sandbox';

    public function __construct(private World $world, private PostOffice $post, private string $key)
    {
    }

    public function answer(string $path): HttpResponse
    {
        if (preg_match('~^/letters/(\d+)(/look|/raw)?$~D', $path, $found) !== 1) {
            return $this->all();
        }
        $letter = $this->world->store->letters->letter((int) $found[1]);

        return $letter === null
            ? new HttpResponse(404, 'text/plain', "There is no such letter.\n")
            : match ($found[2] ?? '') {
                '/look' => $this->look(MailLetter::read($letter->raw)),
                '/raw' => new HttpResponse(200, 'text/plain; charset=utf-8', $letter->raw, ['X-Content-Type-Options' => 'nosniff']),
                default => $this->one($letter, MailLetter::read($letter->raw)),
            };
    }

    private function all(): HttpResponse
    {
        $rows = '';
        foreach ($this->world->store->letters->latest(self::LATEST) as $letter) {
            $read = MailLetter::read($letter->raw);
            $rows .=
                '<tr><td>'.
                gmdate('Y-m-d H:i', $letter->at).
                '<td>'.
                Sheet::esc($letter->mailbox).
                $this->habit($letter->mailbox).
                "<td><a href=\"/letters/{$letter->id}\">".
                Sheet::esc($read->subject === '' ? 'without a subject' : $read->subject).
                '</a><td>'.
                Sheet::esc($read->from).
                '</tr>';
        }

        return Sheet::page(
            'The letterbox',
            '<p>Every letter that somebody in this world got, the latest first.</p>'.
                ($rows === '' ? '<p>No letter yet.</p>' : "<table><tr><th>When<th>To<th>Subject<th>From</tr>{$rows}</table>"),
        );
    }

    private function one(Letter $letter, MailLetter $read): HttpResponse
    {
        $links = implode(
            '',
            array_map(
                fn (string $link): string => '<li><a href="'.Sheet::esc($link).'" rel="noreferrer">'.Sheet::esc($link).'</a></li>',
                self::links($read),
            ),
        );

        return Sheet::page(
            $read->subject === '' ? 'A letter' : $read->subject,
            '<p><a href="/letters">The letterbox</a></p><table>'.
                '<tr><th>To<td>'.
                Sheet::esc($letter->mailbox).
                $this->habit($letter->mailbox).
                '</tr><tr><th>From<td>'.
                Sheet::esc($read->from).
                '</tr><tr><th>When<td>'.
                gmdate('Y-m-d H:i:s', $letter->at).
                " UTC</tr></table>
<h2>As it looks</h2><iframe
src=\"/letters/{$letter->id}/look\" sandbox=\"allow-popups allow-popups-to-escape-sandbox\" title=\"The letter\" width=\"100%\"
height=\"420\"></iframe>
<h2>Its links</h2>".
                ($links === '' ? '<p>None.</p>' : "<ul>{$links}</ul>").
                "<p><a href=\"/letters/{$letter->id}/raw\">As it came</a></p>".
                $this->answerForm($letter, $read),
            "frame-src 'self'",
        );
    }

    /** Whoever reads it may write back, from this mailbox or another. */
    private function answerForm(Letter $letter, MailLetter $read): string
    {
        $hidden = fn (string $name, string $value): string => "<input type=hidden name={$name} value=\"".Sheet::esc($value).'">';
        preg_match('/^Reply-To:\s*(?:.*<)?([^<>\s]+@[^<>\s]+)>?\s*$/mi', explode("\r\n\r\n", $letter->raw, 2)[0], $found);

        return $read->id === null || ! isset($found[1])
            ? ''
            : '<h2>Write back</h2><form method=post action=/write>'.
                    $hidden('key', $this->key).
                    $hidden('to', $found[1]).
                    $hidden('answers', $read->id).
                    $hidden('subject', "Re: {$read->subject}").
                    '<p><label>From <input name=from size=30 value="'.
                    Sheet::esc($letter->mailbox).
                    '"></label></p><p><label>Words<br><textarea name=text rows=4></textarea></label></p><p><button>Send '
                        .'it</button></p></form>';
    }

    private function look(MailLetter $read): HttpResponse
    {
        $html =
            $read->html ??
            '<!doctype html><meta charset=utf-8><pre style="white-space:pre-wrap;font:15px/1.5 sans-serif">'.
                preg_replace('~https?://[^\s<>"]+~', '<a href="$0">$0</a>', Sheet::esc($read->text)).
                '</pre>';

        return new HttpResponse(200, 'text/html; charset=utf-8', "{$html}<base target=_blank>", [
            'Content-Security-Policy' => self::FRAME,
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'no-referrer',
        ]);
    }

    private function habit(string $mailbox): string
    {
        $habit = $this->post->mailbox($mailbox)->habit;

        return $habit === Habit::Reads ? '' : " ({$habit->value})";
    }

    /** @return list<string> */
    private static function links(MailLetter $read): array
    {
        preg_match_all('~https?://[^\s<>"\')\]]+~', $read->text, $found);

        return array_values(array_unique(array_map(fn (string $link): string => rtrim($link, '.,;'), $found[0])));
    }
}
