<?php

declare(strict_types=1);

// The router of bin/object-store.

use App\Operation\ObjectStore;

require __DIR__ . '/../vendor/autoload.php';

$store = new ObjectStore((string) getenv('OBJECT_STORE_FOLDER'), getenv('S3_KEY') ?: 'ispira');
[$path, $asked] = [...explode('?', $_SERVER['REQUEST_URI'], 2), ''];
$query = [];
// parse_str would turn "list-type" and keys with points into other names.
foreach (array_filter(explode('&', $asked)) as $pair) {
    [$name, $value] = [...explode('=', $pair, 2), ''];
    $query[rawurldecode($name)] = rawurldecode(strtr($value, '+', ' '));
}
[$status, $headers, $body] = $store->answer(
    $_SERVER['REQUEST_METHOD'],
    rawurldecode($path),
    $query,
    array_change_key_case(getallheaders(), CASE_LOWER),
    (string) file_get_contents('php://input'),
);
http_response_code($status);
foreach ($headers as $name => $value) {
    header("$name: $value");
}
echo $body;
