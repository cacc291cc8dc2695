<x-choice name="intent" :label="__('common.intent')" :value="$said['intent'] ?? ''" words="words.intent"/>
