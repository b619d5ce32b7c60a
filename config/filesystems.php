<?php

use App\Operation\FilesFolder;

return [
    'default' => env('FILESYSTEM_DISK', 'local'),

    'disks' => [
        // No address of the framework's own serves them.
        'local' => [
            'driver' => 'local',
            'root' => FilesFolder::of(env('ISPIRA_FILES')) . '/private',
            'serve' => false,
            'throw' => false,
        ],
    ],
];
