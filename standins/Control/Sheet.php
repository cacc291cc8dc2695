<?php

declare(strict_types=1);

namespace Standin\Control;

use Standin\Http\HttpResponse;

/** A page of the simulation: plain, ruled, and marked as what it is. */
final readonly class Sheet
{
    private const STYLE = 'body{font:16px/1.5 sans-serif;max-width:70rem;margin:1rem auto;padding:0 '
        .'1rem}table{border-collapse:collapse;width:100%}td,th{border-bottom:1px solid #888;padding:.3rem .6rem .3rem '
        .'0;text-align:left;vertical-align:top}.mark{border:1px solid;padding:.3rem .6rem}iframe{border:1px solid '
        .'#888}textarea{width:100%}';

    public static function esc(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE);
    }

    /**
     * @param  string  $body  markup
     * @param  string  $more  directives of its policy beside the usual ones
     */
    public static function page(string $title, string $body, string $more = '', int $status = 200): HttpResponse
    {
        $title = self::esc($title);
        $hash = base64_encode(hash('sha256', self::STYLE, true));

        return new HttpResponse(
            $status,
            'text/html; charset=utf-8',
            '<!doctype html><html lang=en><meta charset=utf-8><meta name=viewport content="width=device-width"><title>'.
                $title.
                '</title><link rel=icon href="data:,"><style>'.
                self::STYLE.
                '</style>'.
                '<body><main><p class=mark>This is the simulation, and no part of the product. Nothing here is real: registries, '
                    ."registrars, hosts and people are made up.</p><h1>{$title}</h1>{$body}</main></body></html>",
            [
                'Content-Security-Policy' => "default-src 'none'; img-src data:; style-src "
                    ."'sha256-{$hash}'; form-action 'self'; frame-ancestors 'none'".
                    ($more === '' ? '' : "; {$more}"),
                'Referrer-Policy' => 'no-referrer',
                'X-Content-Type-Options' => 'nosniff',
            ],
        );
    }
}
