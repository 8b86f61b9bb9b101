<?php

declare(strict_types=1);

return [
    // Addresses or ranges, with commas, of proxies whose word on the visitor's address is taken; none if empty.
    'proxies' => array_values(
        array_filter(array_map('trim', explode(',', (string) env('HARBOR_TRUSTED_PROXIES', ''))))
    ),
];
