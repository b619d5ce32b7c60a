<?php

return [
    'testing' => [
        'ensure_pages_exist' => true,
        'page_paths' => glob(resource_path('js/*'), GLOB_ONLYDIR),
        'page_extensions' => ['tsx'],
    ],
    'history' => ['encrypt' => false],
];
