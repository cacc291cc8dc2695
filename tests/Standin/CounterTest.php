<?php

declare(strict_types=1);

namespace Tests\Standin;

use Acre\Wire\Json\JsonNode;
use Acre\Wire\Mail\MailLetter;
use PHPUnit\Framework\TestCase;
use Standin\Counter\CounterPages;
use Standin\Counter\OfferPages;
use Standin\Http\HttpResponse;
use Standin\Post\Habit;
use Standin\Post\Mailbox;
use Standin\World;

/** Where a person does what a slip says, and where a receiver answers a registrar's own letter. */
final class CounterTest extends TestCase
{
    private Gatehouse $house;

    private World $world;

    protected function setUp(): void
    {
        $this->house = new Gatehouse();
        $this->world = $this->house->world;
        $account = fn (string $number, string $mailbox): array => [
            'number' => $number,
            'registrar' => 'anchorage',
            'login' => "l-{$number}",
            'mailbox' => $mailbox,
            'password' => 'x',
            'balance' => 0,
        ];
        $this->world->load(
            JsonNode::read(
                json_encode(
                    [
                        'names' => [
                            [
                                'name' => 'slip.com',
                                'registrar' => 'anchorage',
                                'created' => 0,
                                'ends' => 1_900_000_000,
                                'updated' => 0,
                                'statuses' => ['clientTransferProhibited'],
                                'servers' => [],
                                'shown' => [],
                                'holder' => ['handle' => 'H-1'],
                                'autoRenew' => true,
                                'account' => 'p1',
                                'due' => 4_000_000_000,
                            ],
                        ],
                        'hosts' => [],
                        'moods' => [],
                        'zones' => [],
                        'accounts' => [$account('p1', 'one@a.example'), $account('p2', 'two@a.example')],
                    ],
                    JSON_THROW_ON_ERROR,
                ),
                100_000,
            ),
            false,
        );
    }

    /** @param  array<string, string>  $more */
    private function errand(string $errand, string $number = 'p1', array $more = []): string
    {
        $answer = (new CounterPages($this->world, 'k'))->done([
            'number' => $number,
            'login' => "l-{$number}",
            'errand' => $errand,
            'names' => "slip.com\n",
            ...$more,
        ]);

        return preg_match('~<li>slip\.com: (.*)</li>~', $answer->body, $found) === 1
            ? $found[1]
            : $answer->status.' '.strip_tags($answer->body);
    }

    private function account(): ?string
    {
        return $this->world->store->name('slip.com')?->account;
    }

    public function test_who_holds_a_name_and_what_is_shown_of_them_is_done_as_a_slip_says(): void
    {
        $holder = "Zoë Peal\nPeal Trust\nUpper Wick 4\nWickerby\nWS1 4AB\nGB\n+44.2079460123\ndesk@peal.example";
        self::assertSame('it is held by Peal Trust now.', $this->errand('Put the holder below to them', more: ['holder' => $holder]));
        $held = $this->world->store->name('slip.com')?->holder;
        self::assertSame(
            ['Zoë Peal', 'Upper Wick 4', 'GB', 'desk@peal.example'],
            [$held?->name, $held?->street, $held?->country, $held?->mailbox],
        );
        self::assertSame(
            'a holder has a name or an organisation, a country of two letters, and a mailbox.',
            $this->errand('Put the holder below to them', more: ['holder' => 'Nobody']),
        );
        self::assertSame(
            'shown: organisation, voice.',
            $this->errand('Show the fields below of their holder, and no other', more: ['fields' => 'Organisation, telephone']),
        );
        self::assertSame(
            'there is no field colour.',
            $this->errand('Show the fields below of their holder, and no other', more: ['fields' => 'colour']),
        );
        self::assertSame(['organisation', 'voice'], $this->world->store->name('slip.com')?->shown);
        self::assertSame('nothing is shown.', $this->errand('Show the fields below of their holder, and no other'));
    }

    public function test_a_handover_takes_the_receivers_word_and_then_the_givers(): void
    {
        $to = ['mailbox' => 'two@a.example', 'to' => 'p2'];
        self::assertSame(
            'this mailbox and this number do not belong together.',
            $this->errand('Offer them to the account below', more: ['mailbox' => 'one@a.example', 'to' => 'p2']),
        );
        self::assertSame(
            'offered; the receiving account accepts it here, then this one confirms.',
            $this->errand('Offer them to the account below', more: $to),
        );
        self::assertSame('it is offered to p2 already.', $this->errand('Offer them to the account below', more: $to));
        self::assertSame('the receiving account has not accepted it yet.', $this->errand('Confirm what the receiver has accepted'));
        self::assertSame('it is not offered to this account.', $this->errand('Accept what is offered to this account'));
        self::assertSame('accepted; the giving account confirms it here.', $this->errand('Accept what is offered to this account', 'p2'));
        self::assertSame('p1', $this->account());
        self::assertSame('it lies in account p2 now.', $this->errand('Confirm what the receiver has accepted'));
        self::assertSame('p2', $this->account());
        self::assertSame('it does not lie in this account.', $this->errand('Set the lock'));
    }

    public function test_a_mailbox_that_only_forwards_gets_nothing(): void
    {
        $this->world->store->letters->putMailbox(new Mailbox('two@a.example', Habit::Forwards, 'x@x.example'));
        self::assertSame(
            'the mailbox of that account only forwards; it must be one that answers itself.',
            $this->errand('Offer them to the account below', more: ['mailbox' => 'two@a.example', 'to' => 'p2']),
        );
    }

    public function test_it_sells_years_and_restores_out_of_what_the_account_holds(): void
    {
        self::assertSame('the account holds too little.', $this->errand('Renew them for so many years'));
        $account = $this->world->store->account('p1');
        self::assertNotNull($account);
        $this->world->till->payIn($account, 120_00, $this->world->now());
        $before = $this->world->store->name('slip.com')?->ends;
        self::assertSame(
            'it cost 19.80, and runs until 2032-03-17.',
            $this->errand('Renew them for so many years', more: ['years' => '2']),
        );
        self::assertGreaterThan(700, intdiv(($this->world->store->name('slip.com')->ends ?? 0) - ($before ?? 0), 86_400));
        self::assertSame('it is not in redemption.', $this->errand('Restore them'));
        $name = $this->world->store->name('slip.com');
        $name?->delete($this->world->now());
        self::assertNotNull($name);
        $this->world->change($name);
        self::assertStringStartsWith('it cost 86.00', $this->errand('Restore them'));
        $csv = (new CounterPages($this->world, 'key'))->statement(['number' => $account->number, 'login' => $account->login])->body;
        self::assertMatchesRegularExpression(
            "/^Number,Date,Description,Domain,Amount,Currency,Balance\r\n\d+,[-\d]+,Payment,,120\.00,GBP,120\.00\r\n"
                ."\d+,[-\d]+,Renewal,slip\.com,-19\.80,GBP,100\.20\r\n\d+,[-\d]+,Restore,slip\.com,-86\.00,GBP,14\.20\r\n$/D",
            $csv,
        );
    }

    public function test_locks_renewal_codes_and_taking_back(): void
    {
        self::assertSame('lift the lock first.', $this->errand('Request the auth codes'));
        self::assertSame('the lock is off.', $this->errand('Lift the lock'));
        self::assertMatchesRegularExpression('/^its code is [0-9a-f]{16}$/', $this->errand('Request the auth codes'));
        self::assertSame('it renews only when told.', $this->errand('Let them renew only when told'));
        self::assertSame('it is not offered to anybody.', $this->errand('Withdraw the offer'));
        $this->errand('Offer them to the account below', more: ['mailbox' => 'two@a.example', 'to' => 'p2']);
        self::assertSame('the offer is taken back.', $this->errand('Withdraw the offer'));
        self::assertSame('the lock is on.', $this->errand('Set the lock'));
        self::assertFalse($this->world->store->name('slip.com')?->autoRenew);
        $this->house->play('slip.com', 'registrar-refuses');
        self::assertSame('we do not do that for this name.', $this->errand('Lift the lock'));
        self::assertTrue($this->world->store->name('slip.com')?->has('clientTransferProhibited'));
    }

    public function test_without_account_and_login_nothing_is_shown(): void
    {
        $pages = new CounterPages($this->world, 'k');
        foreach ([[], ['number' => 'p1', 'login' => 'wrong'], ['number' => '40718', 'login' => 'harrow-tern']] as $form) {
            self::assertStringNotContainsString('slip.com', $pages->show($form, '')->body);
        }
        self::assertSame(422, $pages->done(['number' => 'p1', 'login' => 'wrong'])->status);
        self::assertStringContainsString(
            'Name one name at least.',
            $pages->done(['number' => 'p1', 'login' => 'l-p1', 'errand' => 'Set the lock', 'names' => ' '])->body,
        );
    }

    private function offered(): string
    {
        $from = $this->world->store->account('40718');
        $to = $this->world->store->account('51877');
        $name = $this->world->store->name('bell.com');
        self::assertTrue($from !== null && $to !== null && $name !== null);
        $this->world->offer($name, $from, $to);
        $this->world->change($name);
        $letters = $this->world->store->letters->of('wickerby-foundry@a.example');
        self::assertSame(1, preg_match('~/offer/[0-9a-f]{64}~', MailLetter::read($letters[count($letters) - 1]->raw)->text, $found));

        return $found[0] ?? '';
    }

    /** @param  array<string, string>  $form */
    private function answer(string $path, array $form): HttpResponse
    {
        return (new OfferPages($this->world, 'k'))->answer($path, $form);
    }

    public function test_a_registrars_own_letter_is_answered_with_number_and_login(): void
    {
        $path = $this->offered();
        self::assertStringContainsString('bell.com is offered to your account', (new OfferPages($this->world, 'k'))->show($path)->body);
        self::assertSame(422, $this->answer($path, ['number' => '51877', 'login' => 'soundkelp', 'answer' => 'accepted'])->status);
        self::assertSame('40718', $this->world->store->name('bell.com')?->account);
        self::assertSame(200, $this->answer($path, ['number' => '51877', 'login' => 'wickerby-foundry', 'answer' => 'accepted'])->status);
        self::assertSame('51877', $this->world->store->name('bell.com')?->account);
        self::assertSame(404, (new OfferPages($this->world, 'k'))->show($path)->status);
        self::assertSame(404, (new OfferPages($this->world, 'k'))->show('/offer/'.str_repeat('0', 64))->status);
    }

    public function test_refused_it_stays(): void
    {
        $this->answer($this->offered(), ['number' => '51877', 'login' => 'wickerby-foundry', 'answer' => 'refused']);
        self::assertSame('40718', $this->world->store->name('bell.com')?->account);
    }
}
