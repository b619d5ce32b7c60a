<?php

use App\Bench\CoreFingerprint;
use App\Operation\FilesFolder;

return [
    // Shows the demo accounts on the sign-in page. Never set this where real jobs are kept.
    'demo' => (bool) env('ISPIRA_DEMO', false),

    // Password of every demo account.
    'demo_password' => env('ISPIRA_DEMO_PASSWORD', 'lake-ferry'),

    // Folder in which predictions are kept between requests: another version of the core has one of its own.
    'predictions' => storage_path('framework/cache/predictions/' . CoreFingerprint::of(base_path('core'))),

    // Folder of the samples of captures.
    'captures' => FilesFolder::of(env('ISPIRA_FILES')) . '/captures',

    // Most that captures and photos may take on disk, and what has to stay free, in MB.
    'disk' => [
        'job' => (int) env('ISPIRA_DISK_JOB_MB', 2_000),
        'workshop' => (int) env('ISPIRA_DISK_WORKSHOP_MB', 20_000),
        'free' => (int) env('ISPIRA_DISK_FREE_MB', 500),
    ],

    // Names under which the application may be asked for; another name is refused.
    'hosts' => array_values(
        array_filter([
            ...explode(',', str_replace(' ', '', (string) env('TRUSTED_HOSTS', 'localhost,127.0.0.1'))),
            (string) parse_url((string) env('APP_URL'), PHP_URL_HOST),
        ]),
    ),
];
