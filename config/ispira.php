<?php

use App\Bench\CoreFingerprint;

return [
    // Shows the demo accounts on the sign-in page. Never set this where real jobs are kept.
    'demo' => (bool) env('ISPIRA_DEMO', false),

    // Password of every demo account.
    'demo_password' => env('ISPIRA_DEMO_PASSWORD', 'lake-ferry'),

    // Folder in which predictions are kept between requests: another version of the core has one of its own.
    'predictions' => storage_path('framework/cache/predictions/' . CoreFingerprint::of(base_path('core'))),

    // Folder of the samples of captures.
    'captures' =>
        env('ISPIRA_CAPTURES') === null ? storage_path('app/captures') : base_path((string) env('ISPIRA_CAPTURES')),
];
