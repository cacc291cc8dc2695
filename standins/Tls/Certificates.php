<?php

declare(strict_types=1);

namespace Standin\Tls;

use OpenSSLAsymmetricKey;
use OpenSSLCertificate;
use RuntimeException;
use Standin\Web\Showing;

/**
 * The world's own certificate authority, one certificate of it for all its hosts, and somebody whom it lets sign those of web sites. Made
 * once, kept in its folder.
 */
final readonly class Certificates
{
    private const DAYS = 3650;

    /** 2000 to 2049, which is as far as such dates reach. */
    private const ALWAYS = [946_684_800, 2_493_072_000];

    public function __construct(private string $folder)
    {
    }

    /**
     * What whoever trusts this world needs. Programs that can't be told another address than the host's own dial 127.0.0.1, which the
     * certificate names too.
     */
    public function authority(): string
    {
        return "{$this->folder}/authority.pem";
    }

    /**
     * @param  list<string>  $hosts
     * @return string a file with the certificate and its key
     */
    public function server(array $hosts): string
    {
        sort($hosts);
        $file = "{$this->folder}/server-".substr(hash('sha256', implode(' ', $hosts)), 0, 12).'.pem';
        if (! is_file($file) || ! is_file($this->authority()) || ! is_file($this->signer())) {
            $this->make($file, $hosts);
        }

        return $file;
    }

    /** @return string a file with a certificate that our signer has not signed, and its key */
    public function foreign(): string
    {
        $file = "{$this->folder}/foreign.pem";
        if (! is_file($file)) {
            $config = $this->config(['elsewhere.example']);
            $key = $this->key();
            $this->pair($file, $this->signed('elsewhere', $key, 'server', $config, null, $key), $key);
        }

        return $file;
    }

    /** @param  list<string>  $hosts */
    private function make(string $file, array $hosts): void
    {
        $config = $this->config($hosts);
        [$authorityKey, $serverKey] = [$this->key(), $this->key()];
        $authority = $this->signed('The simulated world', $authorityKey, 'ca', $config, null, $authorityKey);
        $server = $this->signed('stand-ins', $serverKey, 'server', $config, $authority, $authorityKey);
        openssl_x509_export($authority, $trusted);
        $this->write($this->authority(), is_string($trusted) ? $trusted : '', 0644);
        $this->pair($file, $server, $serverKey);
        $signerKey = $this->key();
        $signer = $this->signed('Wharf Signers', $signerKey, 'ca', $config, $authority, $authorityKey);
        openssl_pkey_export($signerKey, $kept);
        // Good at any time that the trade's clock may show.
        $this->write($this->signer(), Dated::of($signer, self::ALWAYS, $authorityKey).(is_string($kept) ? $kept : ''), 0600);
    }

    /**
     * Of a web site. Its dates are the world's, so they are written over those of this machine.
     *
     * @param  list<string>  $names
     * @param  array{int, int}  $span  since when and until when
     * @return string|null a file with what is shown and its key; null: nothing is
     */
    public function site(array $names, array $span, Showing $showing): ?string
    {
        if ($showing === Showing::Nothing) {
            return null;
        }
        $file = "{$this->folder}/site-".substr(hash('sha256', implode(' ', [...$names, ...$span, $showing->value])), 0, 16).'.pem';
        if (! is_file($file)) {
            $key = $this->key();
            $signer = (string) file_get_contents($this->signer());
            [$by, $with, $above] = match ($showing) {
                Showing::SelfSigned => [null, $key, ''],
                Showing::Stranger => $this->stranger(),
                default => [openssl_x509_read($signer), openssl_pkey_get_private($signer), $signer],
            };
            if ($by === false || $with === false) {
                throw new RuntimeException('Who signs for web sites can’t be read.');
            }
            $certificate = $this->signed($names[0] ?? 'nobody', $key, 'server', $this->config($names), $by, $with);
            openssl_pkey_export($key, $kept);
            $shown = Dated::of($certificate, $span, $with).(
                $showing === Showing::Incomplete ? '' : (string) preg_replace('/-----BEGIN [A-Z ]*PRIVATE KEY.*/s', '', $above)
            );
            $this->write($file, $shown.(is_string($kept) ? $kept : ''), 0600);
        }

        return $file;
    }

    /** @return array{OpenSSLCertificate, OpenSSLAsymmetricKey, string} somebody who signs, whom nobody trusts */
    private function stranger(): array
    {
        $key = $this->key();
        $own = $this->signed('Nobody in Particular', $key, 'ca', $this->config([]), null, $key);

        return [$own, $key, Dated::of($own, self::ALWAYS, $key)];
    }

    private function signer(): string
    {
        return "{$this->folder}/signer.pem";
    }

    /** @param  list<string>  $hosts */
    private function config(array $hosts): string
    {
        $config = "{$this->folder}/openssl.cnf";
        file_put_contents(
            $config,
            "[req]\ndistinguished_name = dn\n[dn]\n[ca]\nbasicConstraints = critical,CA:TRUE\nkeyUsage = "
                ."critical,keyCertSign,cRLSign\nsubjectKeyIdentifier = hash\n".
                "[server]\nbasicConstraints = CA:FALSE\nextendedKeyUsage = serverAuth\nsubjectAltName = ".
                implode(',', array_map(fn (string $host): string => "DNS:{$host}", $hosts)).
                ",IP:127.0.0.1\n",
        );

        return $config;
    }

    private function pair(string $file, OpenSSLCertificate $certificate, OpenSSLAsymmetricKey $key): void
    {
        openssl_x509_export($certificate, $shown);
        openssl_pkey_export($key, $kept);
        $this->write($file, (is_string($shown) ? $shown : '').(is_string($kept) ? $kept : ''), 0600);
    }

    private function key(): OpenSSLAsymmetricKey
    {
        $key = openssl_pkey_new(['private_key_type' => OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1']);

        return $key === false ? throw new RuntimeException('No key could be made: '.openssl_error_string()) : $key;
    }

    private function signed(
        string $name,
        OpenSSLAsymmetricKey $key,
        string $part,
        string $config,
        ?OpenSSLCertificate $by,
        OpenSSLAsymmetricKey $with,
    ): OpenSSLCertificate {
        $options = ['digest_alg' => 'sha256', 'config' => $config, 'x509_extensions' => $part];
        $request = openssl_csr_new(['commonName' => $name], $key, $options);
        $certificate = is_bool($request) ? false : openssl_csr_sign($request, $by, $with, self::DAYS, $options, random_int(1, PHP_INT_MAX));

        return $certificate === false
            ? throw new RuntimeException('No certificate could be made: '.openssl_error_string())
            : $certificate;
    }

    private function write(string $file, string $text, int $mode): void
    {
        touch($file);
        chmod($file, $mode);
        file_put_contents($file, $text);
    }
}
