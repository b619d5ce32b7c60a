<?php

use App\Operation\FilesFolder;

return [
    // 'local': a folder. 's3': a store that speaks the S3 interface, which several machines can share.
    'default' => env('FILESYSTEM_DISK', 'local'),

    'disks' => [
        // No address of the framework's own serves them.
        'local' => [
            'driver' => 'local',
            'root' => FilesFolder::of(env('ISPIRA_FILES')) . '/private',
            'serve' => false,
            'throw' => false,
        ],

        's3' => [
            'driver' => 's3',
            'key' => env('S3_KEY'),
            'secret' => env('S3_SECRET'),
            'region' => env('S3_REGION', 'local'),
            'bucket' => env('S3_BUCKET', 'ispira'),
            'endpoint' => env('S3_ENDPOINT'),
            'use_path_style_endpoint' => true,
            // Sums in trailers are not understood by every store; bodies are signed whole as they are.
            'request_checksum_calculation' => 'when_required',
            'response_checksum_validation' => 'when_required',
            // A store that does not answer holds no worker.
            'retries' => 0,
            'http' => ['connect_timeout' => 2, 'timeout' => 4],
            // What was not stored must not look stored.
            'throw' => true,
        ],
    ],
];
