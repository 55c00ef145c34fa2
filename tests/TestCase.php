<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\TestCase as BaseTestCase;

abstract class TestCase extends BaseTestCase
{
    protected $seed = true;

    public function createApplication()
    {
        // Tests that run side by side lock and cache each in a place of its own.
        $token = (string) getenv('TEST_TOKEN');
        if ($token !== '') {
            $storage = dirname(__DIR__)."/storage/framework/testing/{$token}";
            foreach (['app', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'] as $folder) {
                is_dir("{$storage}/{$folder}") || mkdir("{$storage}/{$folder}", 0775, true);
            }
            $_ENV['LARAVEL_STORAGE_PATH'] = $storage;
        }

        return parent::createApplication();
    }
}
