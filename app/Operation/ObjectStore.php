<?php

declare(strict_types=1);

namespace App\Operation;

/**
 * A stand-in for a store of files that speaks the S3 interface: put, get, head, delete, delete many, and list. It keeps
 * everything in a folder, and lets in who names its key and has signed the request (the signature itself is not worked
 * out).
 */
final readonly class ObjectStore
{
    private const MOST_LISTED = 1000;

    public function __construct(private string $folder, private string $key) {}

    /**
     * @param string                $path    "/bucket" or "/bucket/key", not encoded
     * @param array<string, string> $query
     * @param array<string, string> $headers names in small letters
     *
     * @return array{0: int, 1: array<string, string>, 2: string} status, headers and body
     */
    public function answer(string $method, string $path, array $query, array $headers, string $body): array
    {
        $signed = preg_match(
            '~^AWS4-HMAC-SHA256 Credential=([^/]+)/.*Signature=[0-9a-f]{64}$~',
            $headers['authorization'] ?? '',
            $found,
        );
        if ($signed !== 1 || !hash_equals($this->key, $found[1])) {
            return self::refused(403, 'AccessDenied');
        }
        [$bucket, $key] = [...explode('/', ltrim($path, '/'), 2), ''];
        if (
            preg_match('~^[a-z0-9.-]+$~', $bucket) !== 1 ||
            str_contains("/$key/", '/../') ||
            trim($bucket, '.') === ''
        ) {
            return self::refused(400, 'InvalidURI');
        }

        return match (true) {
            $key === '' && $method === 'GET' => $this->listed($bucket, $query),
            $key === '' && $method === 'POST' && isset($query['delete']) => $this->deleted($bucket, $body),
            $key === '' => self::refused(405, 'MethodNotAllowed'),
            $method === 'PUT' => $this->put($this->file($bucket, $key), $body),
            $method === 'GET', $method === 'HEAD' => $this->get($this->file($bucket, $key), $method === 'HEAD'),
            $method === 'DELETE' => $this->delete($this->file($bucket, $key)),
            default => self::refused(405, 'MethodNotAllowed'),
        };
    }

    /** One file for each key: a key may end where the folder of another begins. */
    private function file(string $bucket, string $key): string
    {
        return "$this->folder/$bucket/" . rawurlencode($key);
    }

    /** @return array{0: int, 1: array<string, string>, 2: string} */
    private function put(string $file, string $body): array
    {
        is_dir(\dirname($file)) || mkdir(\dirname($file), recursive: true);
        file_put_contents("$file~", $body);
        rename("$file~", $file);

        return [200, ['ETag' => '"' . md5($body) . '"'], ''];
    }

    /** @return array{0: int, 1: array<string, string>, 2: string} */
    private function get(string $file, bool $head): array
    {
        if (!is_file($file)) {
            return self::refused(404, 'NoSuchKey');
        }
        $body = (string) file_get_contents($file);

        return [
            200,
            [
                'Content-Length' => (string) \strlen($body),
                'ETag' => '"' . md5($body) . '"',
                'Last-Modified' => gmdate('D, d M Y H:i:s', (int) filemtime($file)) . ' GMT',
                'Content-Type' => 'application/octet-stream',
            ],
            $head ? '' : $body,
        ];
    }

    /** @return array{0: int, 1: array<string, string>, 2: string} */
    private function delete(string $file): array
    {
        !is_file($file) || unlink($file);

        return [204, [], ''];
    }

    /** @return array{0: int, 1: array<string, string>, 2: string} */
    private function deleted(string $bucket, string $body): array
    {
        $wanted = @simplexml_load_string($body, options: LIBXML_NONET);
        if ($wanted === false) {
            return self::refused(400, 'MalformedXML');
        }
        foreach ($wanted->Object as $object) {
            $this->delete($this->file($bucket, (string) $object->Key));
        }

        return self::xml(200, '<DeleteResult/>');
    }

    /**
     * @param array<string, string> $query
     *
     * @return array{0: int, 1: array<string, string>, 2: string}
     */
    private function listed(string $bucket, array $query): array
    {
        [$prefix, $delimiter, $after] = [
            $query['prefix'] ?? '',
            $query['delimiter'] ?? '',
            $query['continuation-token'] ?? '',
        ];
        $keys = array_map(rawurldecode(...), array_map(basename(...), glob("$this->folder/$bucket/*[!~]") ?: []));
        sort($keys, SORT_STRING);
        $entries = [];
        foreach ($keys as $key) {
            if (!str_starts_with($key, $prefix)) {
                continue;
            }
            $end = $delimiter === '' ? false : strpos($key, $delimiter, \strlen($prefix));
            $name = $end === false ? $key : substr($key, 0, $end + \strlen($delimiter));
            $entries[$name] = $end === false;
        }
        $entries = array_filter($entries, static fn(string $name): bool => $name > $after, ARRAY_FILTER_USE_KEY);
        $shown = \array_slice($entries, 0, self::MOST_LISTED, true);
        $xml = '';
        foreach ($shown as $name => $isFile) {
            $escaped = htmlspecialchars((string) $name, ENT_XML1);
            $file = $this->file($bucket, (string) $name);
            $xml .= $isFile
                ? "<Contents><Key>$escaped</Key><LastModified>" .
                    gmdate('Y-m-d\TH:i:s.000\Z', (int) filemtime($file)) .
                    '</LastModified><Size>' .
                    filesize($file) .
                    '</Size></Contents>'
                : "<CommonPrefixes><Prefix>$escaped</Prefix></CommonPrefixes>";
        }
        $more = \count($shown) < \count($entries);
        $xml .=
            '<KeyCount>' . \count($shown) . '</KeyCount><IsTruncated>' . ($more ? 'true' : 'false') . '</IsTruncated>';
        if ($more) {
            $last = htmlspecialchars((string) array_key_last($shown), ENT_XML1);
            $xml .= "<NextContinuationToken>$last</NextContinuationToken>";
        }

        return self::xml(200, "<ListBucketResult>$xml</ListBucketResult>");
    }

    /** @return array{0: int, 1: array<string, string>, 2: string} */
    private static function refused(int $status, string $code): array
    {
        return self::xml($status, "<Error><Code>$code</Code><Message>$code</Message></Error>");
    }

    /** @return array{0: int, 1: array<string, string>, 2: string} */
    private static function xml(int $status, string $xml): array
    {
        return [$status, ['Content-Type' => 'application/xml'], "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n$xml"];
    }
}
