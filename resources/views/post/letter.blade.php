{{-- A letter as a mail program shows it: the plain words again, with what reads as a link made one. --}}
<!doctype html>
<html lang="en">

<head>
    <meta charset="utf-8">
    <title>{{ $subject }}</title>
</head>

<body style="margin:0;padding:24px;background:#f4f1e8;color:#1d1f1c">
    <div
        style="max-width:620px;margin:0 auto;padding:22px 26px;background:#fffdf7;
            border:1px solid #c9c3b2;font:16px/1.55 Georgia,'Times New Roman',serif">
        @if ($isList)
            <pre style="white-space:pre-wrap;margin:0;font:14px/1.5 Menlo,Consolas,monospace">{{ $body }}</pre>
        @else
            @foreach (preg_split('/\n{2,}/', trim($body)) ?: [] as $paragraph)
                <p style="margin:0 0 14px">
                    @if (preg_match('~^https?://\S+$~D', $paragraph) === 1)
                        <a href="{{ $paragraph }}"
                            style="display:inline-block;padding:8px 16px;border:1.5px solid #165a78;color:#165a78;font-weight:600;
                            text-decoration:none;overflow-wrap:anywhere">{{ __('letters.read_and_answer') }}</a>
                    @else
                        {!! nl2br(e($paragraph)) !!}
                    @endif
                </p>
            @endforeach
        @endif
    </div>
</body>

</html>
