<x-choice name="intent" label="What is to happen at their end" :value="$said['intent'] ?? ''" words="words.intent"/>
