<?php

declare(strict_types=1);

namespace Standin\Tls;

use OpenSSLAsymmetricKey;
use OpenSSLCertificate;
use RuntimeException;

/** The world's own certificate authority, and one certificate of it for all its hosts. Made once, kept in its folder. */
final readonly class Certificates
{
    private const DAYS = 3650;

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
        if (! is_file($file) || ! is_file($this->authority())) {
            $this->make($file, $hosts);
        }

        return $file;
    }

    /** @return string a file with a certificate that nobody here has signed, and its key */
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
