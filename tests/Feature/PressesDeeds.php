<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** Presses the button of a deed's page with what its form holds. */
trait PressesDeeds
{
    /**
     * @param  string  $act  what the button says: `settle` or `prepare`
     * @return TestResponse<Response>
     */
    private function pressAs(User $by, string $address, string $act = 'settle'): TestResponse
    {
        $page = (string) $this->actingAs($by)->get($address)->assertOk()->getContent();
        preg_match_all(
            '/<input type="hidden" name="([^"]+)" value="([^"]*)"/',
            substr($page, (int) strrpos($page, '<form method="post" action="http://localhost/deeds/')),
            $found,
        );
        parse_str(
            implode(
                '&',
                array_map(
                    fn (string $key, string $value): string => urlencode($key).'='.urlencode(html_entity_decode($value)),
                    $found[1],
                    $found[2],
                ),
            ),
            $form,
        );

        return $this->post((string) strtok($address, '?'), $form + ['act' => $act]);
    }
}
