<?php

declare(strict_types=1);

namespace Acre\Wire\Xml;

use Acre\Wire\Text\PlainText;
use Acre\Wire\Text\Years;
use DateTimeImmutable;
use DOMDocument;
use DOMElement;
use DOMText;

/** An element of an XML document, asked for its children by namespace and name; entities and document types are refused. */
final class XmlNode
{
    /** Characters of one text that are read. */
    private const LONGEST = 10_000;

    private readonly string $name;

    private readonly string $namespace;

    /** @var list<self>|null its child elements, once they were asked for */
    private ?array $inside = null;

    private bool $isLoose = false;

    private ?string $text = null;

    private function __construct(private readonly DOMElement $element, private readonly string $above = '')
    {
        $this->name = $element->localName ?? '';
        $this->namespace = $element->namespaceURI ?? '';
    }

    /**
     * @param  int  $limit  bytes
     *
     * @throws XmlError
     */
    public static function read(string $text, int $limit): self
    {
        if (strlen($text) > $limit) {
            throw XmlError::tooLong(strlen($text), $limit);
        }
        if (preg_match('//u', $text) !== 1 || str_contains($text, "\0")) {
            throw XmlError::notUtf8(self::firstOdd($text));
        }
        // No frame of EPP has one (RFC 5730 §2); without it there is nothing to expand.
        if (preg_match('/<!(?:DOCTYPE|ENTITY)/i', $text, $found, PREG_OFFSET_CAPTURE) === 1) {
            throw XmlError::documentType($found[0][1]);
        }
        if (preg_match('/^\s*<\?xml\s[^>]*?encoding\s*=/i', $text) === 1 && ! XmlPrologue::isPlain($text)) {
            throw XmlError::encoding();
        }
        $before = libxml_use_internal_errors(true);
        $document = new DOMDocument();
        $isRead = $text !== '' && $document->loadXML($text, LIBXML_NONET | LIBXML_COMPACT);
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        if (! $isRead || $document->documentElement === null) {
            throw XmlError::notXml(
                $error === false ? 1 : $error->line,
                $error === false ? 1 : $error->column,
                $error === false ? 'nothing is in it' : trim($error->message),
            );
        }

        return new self($document->documentElement);
    }

    /** The byte at which a text is no UTF-8 any more, or holds a NUL. */
    private static function firstOdd(string $text): int
    {
        $whole = mb_scrub(str_replace("\0", "\xff", $text));

        return strspn($whole ^ $text, "\0");
    }

    /** Where it stands: `epp/response/result`. */
    public function path(): string
    {
        return $this->above.$this->name;
    }

    public function is(string $namespace, string $name): bool
    {
        return $this->namespace === $namespace && $this->name === $name;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function namespace(): string
    {
        return $this->namespace;
    }

    /** @throws XmlError when there is none */
    public function child(string $namespace, string $name): self
    {
        return $this->childOrNull($namespace, $name) ?? throw XmlError::missing("{$this->path()}/{$name}");
    }

    public function childOrNull(string $namespace, string $name): ?self
    {
        foreach ($this->all() as $child) {
            if ($child->name === $name && $child->namespace === $namespace) {
                return $child;
            }
        }

        return null;
    }

    /**
     * @param  string|null  $name  null: whichever of that namespace
     * @return list<self>
     */
    public function children(string $namespace, ?string $name = null): array
    {
        $children = [];
        foreach ($this->all() as $child) {
            if (($name === null || $child->name === $name) && $child->namespace === $namespace) {
                $children[] = $child;
            }
        }

        return $children;
    }

    /** @return list<self> every child element, of whatever namespace */
    public function all(): array
    {
        if ($this->inside === null) {
            $this->inside = [];
            $above = "{$this->path()}/";
            for ($node = $this->element->firstChild; $node !== null; $node = $node->nextSibling) {
                if ($node instanceof DOMElement) {
                    $this->inside[] = new self($node, $above);
                } elseif ($node instanceof DOMText && trim($node->data) !== '') {
                    $this->isLoose = true;
                }
            }
        }

        return $this->inside;
    }

    /** Its text, blanks around it and runs of blanks inside taken as one (an XML Schema token). */
    public function text(): string
    {
        return $this->text ??= trim((string) preg_replace('/\s+/u', ' ', PlainText::line($this->element->textContent, self::LONGEST)));
    }

    /** Its text to the letter, for what is compared and never shown: a password, a code. */
    public function raw(): string
    {
        return $this->element->textContent;
    }

    /** @throws XmlError when there is no such child */
    public function textOf(string $namespace, string $name): string
    {
        return $this->child($namespace, $name)->text();
    }

    public function textOrNull(string $namespace, string $name): ?string
    {
        return $this->childOrNull($namespace, $name)?->text();
    }

    /** @return list<string> */
    public function texts(string $namespace, string $name): array
    {
        return array_map(fn (self $child): string => $child->text(), $this->children($namespace, $name));
    }

    /**
     * A date and time with its zone (XML Schema dateTime; EPP writes it in UTC, RFC 5731 §2.4), in a year in which a domain name
     * can be; an odd one is as good as none, and costs nothing that stands beside it.
     */
    public function timeOrNull(string $namespace, string $name): ?DateTimeImmutable
    {
        $text = $this->textOrNull($namespace, $name) ?? '';
        $time =
            preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?(Z|[+-]\d\d:\d\d)$/D', $text) === 1
                ? date_create_immutable((string) preg_replace('/\.\d+/', '', $text))
                : false;

        return $time !== false && str_starts_with($text, $time->format('Y-m-d')) && Years::holds($time) ? $time : null;
    }

    public function attribute(string $name): ?string
    {
        return $this->element->hasAttribute($name) ? trim($this->element->getAttribute($name)) : null;
    }

    /** @return array<string, string> by name; what is said of the schema itself (XML Schema 1 §2.6) is left out */
    public function attributes(): array
    {
        $found = [];
        foreach ($this->element->hasAttributes() ? $this->element->attributes : [] as $attribute) {
            if ($attribute->namespaceURI !== 'http://www.w3.org/2001/XMLSchema-instance') {
                $found[$attribute->nodeName] = trim($attribute->value);
            }
        }

        return $found;
    }

    public function isLeaf(): bool
    {
        return $this->element->firstElementChild === null;
    }

    /** Whether something else than blanks stands beside its child elements. */
    public function hasLooseText(): bool
    {
        $this->all();

        return $this->isLoose;
    }

    /** @throws XmlError when it is missing or no whole number */
    public function number(string $attribute): int
    {
        $value = $this->attribute($attribute) ?? throw XmlError::missing("{$this->path()}/@{$attribute}");

        return preg_match('/^\d{1,9}$/D', $value) === 1
            ? (int) $value
            : throw XmlError::wrong("{$this->path()}/@{$attribute}", 'a whole number', $value);
    }

    /** As it stood in the document, with the namespaces that it needs: what we don't understand is kept so. */
    public function source(): string
    {
        return (string) $this->element->ownerDocument?->saveXML($this->element);
    }
}
