<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Symfony\Component\Console\Output\ConsoleOutputInterface;

/**
 * Reads the file named on the command line, or standard input.
 */
trait ReadsInput
{
    private function readInput(): ?string
    {
        $file = $this->argument('file');
        if (!is_string($file)) {
            return null;
        }
        if ($file !== '-' && !is_file($file)) {
            $this->complain("There is no file \"$file\".");

            return null;
        }
        $content = $file === '-' ? stream_get_contents(\STDIN) : file_get_contents($file);

        return $content === false ? null : $content;
    }

    /** To standard error where there is one, so that standard output stays JSON. */
    private function complain(string $message): void
    {
        $output = $this->output->getOutput();
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($message);
    }
}
