<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Browser\Screen;
use Tests\TestCase;

require_once __DIR__.'/Feature/shop.php';

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');

// The screens are left as they were found: every test signs in anew, on a shop seeded anew.
pest()->beforeEach(fn () => Screen::reset())->in('Browser', 'Screenshots');
