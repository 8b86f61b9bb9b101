<?php

declare(strict_types=1);

namespace App\Screening\Web;

use Symfony\Component\HttpFoundation\IpUtils;

/**
 * Which addresses of a host may be fetched: those of the open internet, and none that is set aside for a special use.
 * An address that carries another one inside (mapped, translated, tunnelled) is none of the open internet either.
 */
final class PublicAddress
{
    /**
     * IANA's registries of special-purpose addresses (RFC 6890, as updated by RFC 8190), and multicast (RFC 5771, RFC
     * 4291). From memory.
     */
    private const SPECIAL = [
        '0.0.0.0/8', '10.0.0.0/8', '100.64.0.0/10', '127.0.0.0/8', '169.254.0.0/16', '172.16.0.0/12', '192.0.0.0/24',
        '192.0.2.0/24', '192.31.196.0/24', '192.52.193.0/24',
        '192.88.99.0/24', '192.168.0.0/16', '192.175.48.0/24', '198.18.0.0/15', '198.51.100.0/24', '203.0.113.0/24',
        '224.0.0.0/4', '240.0.0.0/4', '255.255.255.255/32',
        '::/128', '::1/128', '::ffff:0:0/96', '::/96', '64:ff9b::/96', '64:ff9b:1::/48', '100::/64', '100:0:0:1::/64',
        '2001::/23', '2001:db8::/32', '2002::/16', '2620:4f:8000::/48',
        '3fff::/20', '5f00::/16', 'fc00::/7', 'fe80::/10', 'fec0::/10', 'ff00::/8',
    ];

    /**
     * @param  string  $host  a name or an address, without brackets
     * @return string|null an address of it to connect to; null when it has none, or any that is set aside
     */
    public static function of(string $host): ?string
    {
        $all = filter_var($host, FILTER_VALIDATE_IP) === false ? self::resolved($host) : [$host];
        foreach ($all as $address) {
            if (! self::isPublic($address)) {
                return null;
            }
        }

        return $all[0] ?? null;
    }

    public static function isPublic(string $address): bool
    {
        return filter_var($address, FILTER_VALIDATE_IP) !== false && ! IpUtils::checkIp($address, self::SPECIAL);
    }

    /**
     * @return list<string>
     */
    private static function resolved(string $host): array
    {
        // A number on its own, octal or hexadecimal, is read as an address by some and as a name by others: by none
        // here.
        if (preg_match('/\A(?:0x[0-9a-f]+|\d+)(?:\.(?:0x[0-9a-f]+|\d+))*\.?\z/i', $host) === 1) {
            return [];
        }
        $four = gethostbynamel($host) ?: [];
        $six = array_column(@dns_get_record($host, DNS_AAAA) ?: [], 'ipv6');

        return array_values(array_filter([...$four, ...$six], is_string(...)));
    }
}
