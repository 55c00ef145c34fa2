<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Illuminate\Support\Carbon;
use OakTrace\Core\Quantities\Units;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property Carbon|null $closed_at
 * @property array{units?: string, look?: string, size?: string}|null $settings
 */
class User extends Authenticatable
{
    use Notifiable;

    /** What can be set, and to what; the first is what holds where nothing is. */
    public const SETTINGS = ['units' => ['program', 'mm', 'inch'], 'look' => ['light', 'dark'], 'size' => ['usual', 'large', 'largest']];

    protected $fillable = ['name', 'email', 'password', 'role', 'settings', 'closed_at'];

    protected $attributes = ['closed_at' => null];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'settings' => 'array', 'closed_at' => 'datetime'];
    }

    /** @return array<string, string> every setting */
    public function allSettings(): array
    {
        return [...array_map(static fn (array $choices): string => $choices[0], self::SETTINGS), ...($this->settings ?? [])];
    }

    /** Units everything is shown in; null for those of the setup and of the program. */
    public function displayUnits(): ?Units
    {
        return Units::tryFrom($this->allSettings()['units']);
    }
}
