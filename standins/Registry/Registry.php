<?php

declare(strict_types=1);

namespace Standin\Registry;

/** One registry: which suffixes, and its habits. */
final readonly class Registry
{
    /** Suffixes of the newer sort, all kept by one habit. */
    private const NEW = [
        'agency',
        'blog',
        'cafe',
        'cloud',
        'club',
        'company',
        'design',
        'digital',
        'email',
        'group',
        'life',
        'live',
        'media',
        'online',
        'shop',
        'site',
        'space',
        'store',
        'studio',
        'tech',
        'website',
        'world',
        'xyz',
    ];

    /**
     * @param  list<string>  $suffixes
     * @param  string|null  $rdap  the host of its directory; null: it answers by text only
     * @param  int  $behind  seconds that its directory is behind
     * @param  int  $aMinute  questions that its directory takes from one asker
     * @param  bool  $validates  whether it checks holders' data itself
     * @param  bool  $byTag  whether names move by a registrar's tag
     * @param  list<string>  $servers  addresses of the suffixes' servers
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $suffixes,
        public EndHabit $habit,
        public ?string $rdap,
        public int $behind,
        public int $aMinute,
        public bool $validates,
        public bool $byTag,
        public array $servers,
        public int $ttl,
    ) {
    }

    /** @return list<self> those of this world */
    public static function all(): array
    {
        /** @var list<self>|null $all */
        static $all = null;

        return $all ??= [
            // It runs many suffixes for others, each under terms of its own.
            new self(
                'harbour',
                'Harbour Registry',
                [
                    'com',
                    'net',
                    'org',
                    'works',
                    'art',
                    'info',
                    'biz',
                    'app',
                    'dev',
                    'io',
                    'co',
                    'ai',
                    'me',
                    'us',
                    'eu',
                    'fr',
                    'nl',
                    'ch',
                    'at',
                    'ca',
                    'au',
                    'com.au',
                    'it',
                    'es',
                    'se',
                    'be',
                    'pl',
                    ...self::NEW,
                ],
                EndHabit::Renews,
                'rdap.harbour-registry.example',
                120,
                600,
                false,
                false,
                ['192.0.2.11', '198.51.100.11'],
                172_800,
            ),
            new self(
                'wharf',
                'Wharf Names',
                ['uk', 'co.uk', 'org.uk'],
                EndHabit::Suspends,
                'rdap.wharf-names.example',
                0,
                300,
                true,
                true,
                ['192.0.2.12', '198.51.100.12'],
                86_400,
            ),
            new self('lode', 'Lode', ['de'], EndHabit::GoesOn, null, 0, 60, false, false, ['192.0.2.13', '198.51.100.13'], 86_400),
        ];
    }

    /** The one that answers for a name. */
    public static function for(string $name): ?self
    {
        $suffix = substr((string) strstr($name, '.'), 1);
        foreach (self::all() as $registry) {
            if (in_array($suffix, $registry->suffixes, true)) {
                return $registry;
            }
        }

        return null;
    }
}
