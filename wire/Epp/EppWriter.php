<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

use XMLWriter;

/** Writes a frame, element by element. */
final class EppWriter
{
    private readonly XMLWriter $xml;

    public function __construct()
    {
        $this->xml = new XMLWriter;
        $this->xml->openMemory();
        $this->xml->startDocument('1.0', 'UTF-8', 'no');
    }

    /**
     * The outermost element of an object or an extension, which declares its namespace.
     *
     * @param  callable(self): mixed  $inside
     */
    public function object(EppNamespace $namespace, string $name, callable $inside): self
    {
        return $this->open("{$namespace->prefix()}:{$name}", ["xmlns:{$namespace->prefix()}" => $namespace->value], $inside);
    }

    /**
     * @param  array<string, string>  $attributes
     * @param  callable(self): mixed  $inside
     */
    public function open(string $name, array $attributes, callable $inside): self
    {
        $this->start($name, $attributes);
        $inside($this);
        $this->xml->endElement();

        return $this;
    }

    /** @param  array<string, string>  $attributes */
    public function text(string $name, string $text, array $attributes = []): self
    {
        $this->start($name, $attributes);
        $this->xml->text($text);
        $this->xml->endElement();

        return $this;
    }

    /**
     * One element a text.
     *
     * @param  list<string>  $texts
     */
    public function texts(string $name, array $texts): self
    {
        foreach ($texts as $text) {
            $this->text($name, $text);
        }

        return $this;
    }

    /** @param  array<string, string>  $attributes */
    public function sign(string $name, array $attributes = []): self
    {
        $this->start($name, $attributes);
        $this->xml->endElement();

        return $this;
    }

    public function document(): string
    {
        $this->xml->endDocument();

        return $this->xml->outputMemory();
    }

    /** @param  array<string, string>  $attributes */
    private function start(string $name, array $attributes): void
    {
        $this->xml->startElement($name);
        foreach ($attributes as $attribute => $value) {
            $this->xml->writeAttribute($attribute, $value);
        }
    }
}
