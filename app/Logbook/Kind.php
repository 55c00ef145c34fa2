<?php

declare(strict_types=1);

namespace App\Logbook;

/** What the logbook keeps. */
enum Kind: string
{
    case Part = 'part';
    case Setup = 'setup';
    case Program = 'program';
    case Machine = 'machine';
    case Tool = 'tool';
    case Profile = 'profile';
    case Proof = 'proof';
    case Role = 'role';
    case Account = 'account';
    case SignIn = 'sign-in';
    case Refused = 'refused';
    case SignOut = 'sign-out';

    /** @return list<self> what is about people, and a lead's to see */
    public static function ofPeople(): array
    {
        return [self::Role, self::Account, self::SignIn, self::Refused, self::SignOut];
    }
}
