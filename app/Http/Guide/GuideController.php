<?php

declare(strict_types=1);

namespace App\Http\Guide;

use Illuminate\Contracts\View\View;
use Illuminate\Support\HtmlString;
use Illuminate\Support\Str;
use RuntimeException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The user’s guide, as `docs/guide.md` has it. */
final class GuideController
{
    public function show(): View
    {
        $text = file_get_contents(base_path('docs/guide.md'));
        $html = Str::markdown($text === false ? throw new RuntimeException('docs/guide.md is missing.') : $text, ['html_input' => 'strip']);
        // Headings get anchors, as the list at the top expects them.
        $html = preg_replace_callback(
            '/<h2>(.*?)<\/h2>/',
            fn (array $heading): string => '<h2 id="'.self::anchor($heading[1]).'">'.$heading[1].'</h2>',
            $html,
        );
        $pictures = rtrim(route('guide.picture', ['picture' => 'x']), 'x');

        return view('guide.show', [
            'guide' => new HtmlString(
                preg_replace('/<h1>.*?<\/h1>/', '', str_replace('src="screenshots/', "src=\"{$pictures}", (string) $html)) ?? '',
            ),
        ]);
    }

    public function picture(string $picture): BinaryFileResponse
    {
        $path = base_path("docs/screenshots/{$picture}");
        abort_unless(is_file($path), 404);

        return response()->file($path, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=3600']);
    }

    /** As GitHub-flavoured Markdown makes it: lower case, blanks as hyphens, punctuation left out. */
    private static function anchor(string $heading): string
    {
        return str_replace(' ', '-', preg_replace('/[^\w\- ]/u', '', mb_strtolower(html_entity_decode(strip_tags($heading)))) ?? '');
    }
}
