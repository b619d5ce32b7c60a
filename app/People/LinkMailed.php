<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/**
 * The letter with a link.
 */
final class LinkMailed extends Notification
{
    public function __construct(
        private readonly string $workshop,
        private readonly string $by,
        private readonly string $url,
        private readonly bool $renews,
    ) {}

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(): MailMessage
    {
        return (new MailMessage())
            ->subject($this->renews ? 'A new password for Ispira' : "Work in Ispira with $this->workshop")
            ->line(
                $this->renews
                    ? "$this->by, of $this->workshop, made this link so that you can set a new password."
                    : "$this->by invites you to work in Ispira with $this->workshop.",
            )
            ->action($this->renews ? 'Set a password' : 'Take the invitation', $this->url)
            ->line('It works once. If you do not expect it, do nothing.');
    }
}
