<?php

return [
    // Addresses of the servers in front whose word about the client and its encryption is taken, with commas between.
    'proxies' => env('TRUSTED_PROXIES'),
];
