<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/** A letter with the address under which somebody chooses a password: on being invited, or when it was forgotten. */
final class ChoosePassword extends Notification
{
    public function __construct(public readonly string $link)
    {
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(): MailMessage
    {
        return (new MailMessage)->subject('Choose your password for Oak Trace')
            ->line('You can choose a password for Oak Trace under this address for the next hour:')->action('Choose a password', $this->link)
            ->line('If you did not ask for this, do nothing.');
    }
}
