<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

use Closure;

/**
 * Writes a frame, element by element. What no document may hold (XML 1.0 §2.2) is written as U+FFFD.
 *
 * Element and attribute names are ours and stand as they are; texts are escaped. Put together as text, a frame takes half
 * the time that the machine's XML writer takes for it, and a gate is told thousands.
 */
final class EppWriter
{
    private string $xml = "<?xml version=\"1.0\" encoding=\"UTF-8\" standalone=\"no\"?>\n";

    /** @var list<string> elements that are not ended yet */
    private array $begun = [];

    /** Where the inside of the latest of them begins. */
    private int $inside = 0;

    /**
     * The outermost element of an object or an extension, which declares its namespace.
     *
     * @param  Closure(self): mixed  $inside
     */
    public function object(EppNamespace $namespace, string $name, Closure $inside): self
    {
        $inside($this->beginObject($namespace, $name));

        return $this->end();
    }

    public function beginObject(EppNamespace $namespace, string $name): self
    {
        $prefix = $namespace->prefix();

        return $this->begin("{$prefix}:{$name}", ["xmlns:{$prefix}" => $namespace->value]);
    }

    /**
     * @param  array<string, string>  $attributes
     * @param  Closure(self): mixed  $inside
     */
    public function open(string $name, array $attributes, Closure $inside): self
    {
        $inside($this->begin($name, $attributes));

        return $this->end();
    }

    /**
     * An element that `end` ends. What is written thousands of times is written so: PHP looks up anew whatever a new closure calls.
     *
     * @param  array<string, string>  $attributes
     */
    public function begin(string $name, array $attributes = []): self
    {
        $this->start($name, $attributes, '>');
        $this->begun[] = $name;
        $this->inside = strlen($this->xml);

        return $this;
    }

    /** Ends the latest element that was begun. */
    public function end(): self
    {
        $name = array_pop($this->begun);
        if (strlen($this->xml) === $this->inside) {
            $this->xml = substr($this->xml, 0, -1).'/>';
        } else {
            $this->xml .= "</{$name}>";
        }

        return $this;
    }

    /** @param  array<string, string>  $attributes */
    public function text(string $name, string $text, array $attributes = []): self
    {
        if ($attributes === []) {
            $this->xml .= "<{$name}>".self::escaped($text)."</{$name}>";
        } else {
            $this->start($name, $attributes, '>');
            $this->xml .= self::escaped($text)."</{$name}>";
        }

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
        $this->start($name, $attributes, '/>');

        return $this;
    }

    public function document(): string
    {
        return $this->xml."\n";
    }

    /** @param  array<string, string>  $attributes */
    private function start(string $name, array $attributes, string $end): void
    {
        $this->xml .= "<{$name}";
        foreach ($attributes as $attribute => $value) {
            $this->xml .= " {$attribute}=\"".self::escaped($value).'"';
        }
        $this->xml .= $end;
    }

    private static function escaped(string $text): string
    {
        // Most of what a frame says needs nothing.
        return preg_match('/[^ !#-%\x27-;=?-~]/', $text) === 0
            ? $text
            : htmlspecialchars($text, ENT_XML1 | ENT_COMPAT | ENT_SUBSTITUTE | ENT_DISALLOWED, 'UTF-8');
    }
}
