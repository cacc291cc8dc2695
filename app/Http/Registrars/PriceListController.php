<?php

declare(strict_types=1);

namespace App\Http\Registrars;

use Acre\Core\Time\Instant;
use Acre\Wire\Lists\ListError;
use App\Actions\Registrars\ReadPriceList;
use App\Actions\Registrars\SetPrice;
use App\Http\OldInput;
use App\Models\Registrar;
use App\View\Words;
use Illuminate\Http\RedirectResponse;

/** A registrar's price list as a file. What can be read of it is recorded; the rest is told with its line. */
final readonly class PriceListController
{
    /** Refused lines that are told one by one. */
    private const TOLD = 50;

    public function __construct(private ReadPriceList $read, private SetPrice $set, private Words $words)
    {
    }

    public function __invoke(Registrar $registrar, PriceListRequest $request): RedirectResponse
    {
        $page = redirect(route('registrars.show', $registrar).'#prices');
        try {
            $list = $this->read->handle($request->path(), $request->word('list_currency'));
        } catch (ListError $e) {
            return $page->withInput(OldInput::of($request))->withErrors(['list' => $e->getMessage()]);
        }
        $tax = $request->filled('list_tax') ? $request->word('list_tax') : '0';
        $prices = array_map(fn (array $price): array => $price + ['tax_percent' => $tax], $list->prices);
        if ($prices !== []) {
            $this->set->all($request->person(), $registrar, $prices, Instant::of($request->word('list_since')));
        }

        return $page
            ->with('told', $this->words->count('registrars.list.read', count($prices)))
            ->with('refused', array_map(
                fn (string $why, int $line): string => $this->words->say('registrars.list.line', ['line' => (string) $line, 'why' => $why]),
                array_slice($list->refused, 0, self::TOLD),
                array_slice(array_keys($list->refused), 0, self::TOLD),
            ));
    }
}
