<?php

use Monolog\Formatter\JsonFormatter;

// One line of JSON for each record, one file a day. The number of the request and of its person go along by themselves.
return [
    'channels' => [
        'json' => [
            'driver' => 'daily',
            'path' => env('LOG_PATH', storage_path('logs/ispira.log')),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => (int) env('LOG_DAYS', 14),
            'permission' => 0o640,
            'formatter' => JsonFormatter::class,
            'formatter_with' => ['includeStacktraces' => true],
        ],
    ],
];
