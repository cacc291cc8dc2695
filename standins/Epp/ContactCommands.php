<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Json\JsonNode;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Account;
use Standin\Registry\Holder;
use Standin\World;

/** People and organisations (RFC 5733). */
final readonly class ContactCommands
{
    public function __construct(private World $world, private Account $account)
    {
    }

    public function carryOut(XmlNode $verb, XmlNode $object): EppAnswer
    {
        $contact = EppNamespace::Contact->value;
        $store = $this->world->store;
        if ($verb->name() === 'check') {
            return EppAnswer::done(
                fn (EppWriter $to) => $to->object(EppNamespace::Contact, 'chkData', function (EppWriter $to) use (
                    $object,
                    $contact,
                    $store,
                ): void {
                    foreach ($object->texts($contact, 'id') as $id) {
                        $to->open(
                            'contact:cd',
                            [],
                            fn (EppWriter $to) => $to->text('contact:id', $id, ['avail' => $store->contact($id) === null ? '1' : '0']),
                        );
                    }
                }),
            );
        }
        $id = $object->textOf($contact, 'id');
        $known = $store->contact($id);
        if ($verb->name() === 'create') {
            if ($known !== null) {
                throw EppRefusal::because(EppCode::Exists, "{$id} is there already.");
            }
            $store->putContact($id, $this->account->number, json_encode($this->holder($id, $object, null), JSON_THROW_ON_ERROR));

            return EppAnswer::done(
                fn (EppWriter $to) => $to->object(
                    EppNamespace::Contact,
                    'creData',
                    fn (EppWriter $to) => $to->text('contact:id', $id)->text('contact:crDate', DomainAnswers::at($this->world->now())),
                ),
            );
        }
        [$account, $body] = $known ?? throw EppRefusal::because(EppCode::DoesNotExist, "There is no contact {$id}.");
        if ($verb->name() === 'transfer') {
            return $this->transfer($verb->attribute('op') ?? '', $id, $account, $object, Holder::of(JsonNode::read($body, 20_000)));
        }
        if ($account !== $this->account->number) {
            throw EppRefusal::because(EppCode::Authorization, 'It is another account’s.');
        }
        $holder = Holder::of(JsonNode::read($body, 20_000));

        return match ($verb->name()) {
            'info' => EppAnswer::done(fn (EppWriter $to) => $this->info($to, $holder)),
            'update' => $this->update($id, $object, $holder),
            'delete' => $this->delete($id),
            default => throw EppRefusal::because(EppCode::UnimplementedCommand, "{$verb->name()} of a contact is not carried out here."),
        };
    }

    private function info(EppWriter $to, Holder $holder): void
    {
        $to->object(EppNamespace::Contact, 'infData', function (EppWriter $to) use ($holder): void {
            $to->text('contact:id', $holder->handle)
                ->text('contact:roid', strtoupper(substr(hash('sha256', $holder->handle), 0, 12)).'-ROLL')
                ->sign('contact:status', ['s' => $this->world->store->isHolder($holder->handle) ? 'linked' : 'ok']);
            $to->open('contact:postalInfo', ['type' => 'loc'], function (EppWriter $to) use ($holder): void {
                $to->text('contact:name', $holder->name === '' ? $holder->organisation : $holder->name);
                if ($holder->organisation !== '') {
                    $to->text('contact:org', $holder->organisation);
                }
                $to->open(
                    'contact:addr',
                    [],
                    fn (EppWriter $to) => $to
                        ->texts('contact:street', array_slice(mb_str_split($holder->street, 255), 0, 3))
                        ->text('contact:city', $holder->town)
                        ->text('contact:sp', $holder->region)
                        ->text('contact:pc', $holder->postcode)
                        ->text('contact:cc', $holder->country),
                );
            });
            if ($holder->voice !== '') {
                $to->text('contact:voice', $holder->voice);
            }
            $to->text('contact:email', $holder->mailbox)
                ->text('contact:clID', $this->account->number)
                ->text('contact:crID', $this->account->number)
                ->text('contact:crDate', DomainAnswers::at(0));
            if ($holder->disclose !== null) {
                self::disclose($to, $holder->disclose);
            }
        });
    }

    /**
     * RFC 5733 §3.2.4. Whoever has the code takes the contact over at once: nothing waits here, so there is nothing to approve or reject.
     */
    private function transfer(string $op, string $id, string $account, XmlNode $object, Holder $holder): EppAnswer
    {
        if ($op !== 'request') {
            throw EppRefusal::because(EppCode::NoTransferPending, 'Transfers of contacts are carried out at once.');
        }
        if ($account === $this->account->number) {
            throw EppRefusal::because(EppCode::NotTransferable, 'It is here already.');
        }
        $code = $object->childOrNull(EppNamespace::Contact->value, 'authInfo')?->textOrNull(EppNamespace::Contact->value, 'pw');
        if ($holder->code === '' || $code === null || ! hash_equals($holder->code, $code)) {
            throw EppRefusal::because(EppCode::InvalidAuthorization, 'The code is another, or there is none.');
        }
        // The code is spent.
        $this->world->store->putContact($id, $this->account->number, json_encode([...(array) $holder, 'code' => ''], JSON_THROW_ON_ERROR));
        $now = DomainAnswers::at($this->world->now());

        return EppAnswer::done(
            fn (EppWriter $to) => $to->object(
                EppNamespace::Contact,
                'trnData',
                fn (EppWriter $to) => $to
                    ->text('contact:id', $id)
                    ->text('contact:trStatus', 'serverApproved')
                    ->text('contact:reID', $this->account->number)
                    ->text('contact:reDate', $now)
                    ->text('contact:acID', $account)
                    ->text('contact:acDate', $now),
            ),
        );
    }

    private function update(string $id, XmlNode $object, Holder $holder): EppAnswer
    {
        if (
            $object->childOrNull(EppNamespace::Contact->value, 'add') !== null ||
            $object->childOrNull(EppNamespace::Contact->value, 'rem') !== null
        ) {
            throw EppRefusal::because(EppCode::UnimplementedOption, 'Statuses of contacts are not kept here.');
        }
        $change =
            $object->childOrNull(EppNamespace::Contact->value, 'chg') ??
            throw EppRefusal::because(EppCode::MissingParameter, 'Nothing is to be changed.');
        $changed = $this->holder($id, $change, $holder);
        $this->world->store->putContact($id, $this->account->number, json_encode($changed, JSON_THROW_ON_ERROR));
        foreach ($this->world->store->namesOfHolder($id) as $name) {
            $name->holder = $changed;
            $this->world->change($name);
        }

        return EppAnswer::done();
    }

    private function delete(string $id): EppAnswer
    {
        if ($this->world->store->isHolder($id)) {
            throw EppRefusal::because(EppCode::AssociationProhibits, 'Names are held by it.');
        }
        $this->world->store->removeContact($id);

        return EppAnswer::done();
    }

    private function holder(string $id, XmlNode $node, ?Holder $before): Holder
    {
        $contact = EppNamespace::Contact->value;
        $postal = $node->childOrNull($contact, 'postalInfo');
        $address = $postal?->childOrNull($contact, 'addr');
        $country = $address?->textOrNull($contact, 'cc') ?? ($before->country ?? '');
        if (preg_match('/^[A-Z]{2}$/D', $country) !== 1) {
            throw EppRefusal::because(EppCode::ValueSyntax, 'A country is two letters.');
        }

        return new Holder(
            $id,
            $postal?->textOrNull($contact, 'name') ?? ($before->name ?? ''),
            $postal?->textOrNull($contact, 'org') ?? ($postal === null ? $before->organisation ?? '' : ''),
            $address === null ? $before->street ?? '' : implode(', ', $address->texts($contact, 'street')),
            $address?->textOrNull($contact, 'city') ?? ($before->town ?? ''),
            $address?->textOrNull($contact, 'sp') ?? ($before->region ?? ''),
            $address?->textOrNull($contact, 'pc') ?? ($before->postcode ?? ''),
            $country,
            $node->textOrNull($contact, 'voice') ?? ($before->voice ?? ''),
            $node->textOrNull($contact, 'email') ?? ($before->mailbox ?? ''),
            $node->childOrNull($contact, 'authInfo')?->textOrNull($contact, 'pw') ?? ($before->code ?? ''),
            self::wish($node->childOrNull($contact, 'disclose')) ?? $before?->disclose,
        );
    }

    private static function disclose(EppWriter $to, string $wish): void
    {
        $words = explode(' ', $wish);
        $to->open('contact:disclose', ['flag' => $words[0]], function (EppWriter $to) use ($words): void {
            foreach (array_intersect(['name', 'org', 'addr', 'voice', 'fax', 'email'], $words) as $element) {
                $to->sign("contact:{$element}", in_array($element, ['name', 'org', 'addr'], true) ? ['type' => 'loc'] : []);
            }
        });
    }

    /** RFC 5733 §2.9, as it is kept. */
    private static function wish(?XmlNode $disclose): ?string
    {
        return $disclose === null
            ? null
            : implode(' ', [
                in_array($disclose->attribute('flag'), ['1', 'true'], true) ? '1' : '0',
                ...array_values(array_unique(array_map(fn (XmlNode $one): string => $one->name(), $disclose->all()))),
            ]);
    }
}
