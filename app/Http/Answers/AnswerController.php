<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Actions\Links\LateAnswer;
use App\Actions\Links\OpenLink;
use App\Models\LinkPurpose;
use App\Support\HouseSettings;
use App\View\Words;
use Illuminate\Contracts\Container\Container;
use Illuminate\Contracts\View\Factory;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\MessageBag;
use Illuminate\Support\ViewErrorBag;

/**
 * The page behind the link in a letter. Looking at it changes nothing, and shows nothing that its reader could not know. It
 * has no session, so that its address, which is a secret, stands in none.
 */
final readonly class AnswerController
{
    public function __construct(
        private OpenLink $links,
        private LateAnswer $late,
        private HouseSettings $house,
        private Words $words,
        private Factory $views,
        private Container $container,
    ) {
    }

    public function show(string $token): Response
    {
        return $this->page($token, '');
    }

    public function store(Request $request, string $token): Response
    {
        $link = $this->links->handle($token);
        if ($link === null) {
            return $this->tooLate($token, new TypedAnswer($request));
        }
        try {
            $said = $this->behind($link->purpose)->store($link, $token, new TypedAnswer($request));
        } catch (NotAnswered $e) {
            return $this->page($token, $e->getMessage());
        }

        return match (true) {
            $said === null => $this->over($token),
            is_array($said) => response()->view(
                $said[0],
                ['token' => $token, 'house' => $this->house->name(), 'words' => $this->words, ...$said[1]],
            ),
            default => $this->told($said),
        };
    }

    /** @param  string  $wrong  what was wrong with what was typed; empty: nothing was yet */
    private function page(string $token, string $wrong): Response
    {
        $link = $this->links->handle($token);
        $shown = $link === null ? null : $this->behind($link->purpose)->show($link);
        if ($shown === null) {
            return $this->late->link($token) === null ? $this->over($token) : $this->latePage($token, '');
        }
        // What a session would have brought.
        $this->views->share('errors', (new ViewErrorBag())->put('default', new MessageBag($wrong === '' ? [] : ['names' => $wrong])));

        return response()->view(
            $shown[0],
            ['token' => $token, 'house' => $this->house->name(), 'words' => $this->words, ...$shown[1]],
            $wrong === '' ? 200 : 422,
        );
    }

    /** What is said after its day is heard, and does nothing. */
    private function tooLate(string $token, TypedAnswer $typed): Response
    {
        if ($this->late->link($token) === null) {
            return $this->over($token);
        }
        if ($typed->accepts() === null) {
            return $this->latePage($token, $this->words->say('letters.answer.neither_agreed'));
        }

        return $this->late->handle($token, $typed->accepts(), $typed->words()) ? $this->told('late') : $this->over($token);
    }

    private function latePage(string $token, string $wrong): Response
    {
        $this->views->share('errors', (new ViewErrorBag())->put('default', new MessageBag($wrong === '' ? [] : ['names' => $wrong])));

        return response()->view('answers.late', ['token' => $token, 'house' => $this->house->name()], $wrong === '' ? 200 : 422);
    }

    private function behind(LinkPurpose $purpose): AnswerPage
    {
        return $this->container->make(
            match ($purpose) {
                LinkPurpose::AcceptHandover => HandoverPage::class,
                LinkPurpose::ConfirmRegistrant => ConfirmationPage::class,
                LinkPurpose::VerifyMailbox => VerificationPage::class,
                LinkPurpose::SetPassword => PasswordPage::class,
                LinkPurpose::ReceiveCodes => CodesPage::class,
                LinkPurpose::AnswerRenewals => RenewalsPage::class,
            },
        );
    }

    private function over(string $token): Response
    {
        return $this->told($this->links->wasForPassword($token) ? 'password_over' : 'over', 410);
    }

    private function told(string $what, int $status = 200): Response
    {
        return response()->view('answers.told', ['what' => $what, 'house' => $this->house->name(), 'words' => $this->words], $status);
    }
}
