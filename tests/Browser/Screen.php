<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Assert;
use RuntimeException;

/**
 * The real screens in a real browser: a server of its own on a database and a storage of its own, Chromium driven by
 * ChromeDriver. Started on first use, stopped with the test process; processes side by side have one each.
 */
final class Screen
{
    private const PATIENCE_SECONDS = 30;

    private static ?RemoteWebDriver $driver = null;

    private static string $address = '';

    /** @var list<resource> */
    private static array $processes = [];

    /** @var list<resource> the workers of the queue, where they were set to work */
    private static array $workers = [];

    /** A shop as newly seeded, a browser nobody is signed in with, and nobody at work. */
    public static function reset(): void
    {
        array_map(self::end(...), self::$workers);
        self::$workers = [];
        $seeded = self::database().'.seeded';
        if (self::$driver === null) {
            self::prepare($seeded);
        }
        // An answer that is still on its way to the page before would bring its cookie along, or read from a shop that is half written.
        self::$driver?->get('about:blank');
        usleep(250_000);
        self::lay($seeded);
        if (self::$driver === null) {
            self::start();
        }
        self::driver()->get(self::$address.'/up');
        self::driver()->manage()->deleteAllCookies();
        self::driver()->executeScript('localStorage.clear()');
        self::size(1280, 800);
    }

    public static function driver(): RemoteWebDriver
    {
        return self::$driver ?? throw new RuntimeException('The browser has not been started.');
    }

    public static function visit(string $path): void
    {
        self::driver()->get(self::$address.$path);
    }

    /** Signs in without the page for it, which has tests of its own, and shows the parts. */
    public static function signIn(string $who = 'lead'): void
    {
        $signedIn = self::driver()->executeAsyncScript(<<<'JS'
            const [who, done] = arguments;
            fetch('/sign-in')
                .then(() => fetch('/sign-in', {
                    method: 'POST',
                    headers: {
                        'Content-Type': 'application/json', Accept: 'application/json',
                        'X-XSRF-TOKEN': decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]*)/)[1]),
                    },
                    body: JSON.stringify({ email: `${who}@fernhollow.example`, password: 'escapement' }),
                }))
                .then((answer) => done(answer.ok), (failure) => done(String(failure)));
            JS, [$who]);
        Assert::assertTrue($signedIn);
        self::visit('/');
        self::see('Pallet bridge plate');
    }

    /** Goes to a room of the shop by its menu. */
    public static function room(string $name): void
    {
        self::find('header button[aria-haspopup=menu]')->click();
        self::until(static fn (): RemoteWebElement => self::driver()->findElement(
            WebDriverBy::xpath("//*[@role='menuitem'][normalize-space(.)='{$name}']"),
        ), "{$name} in the menu")->click();
    }

    public static function signOut(string $name): void
    {
        self::named('button', $name)->click();
        self::named('li', 'Sign out')->click();
    }

    /** A shop in which nothing is, and nobody. */
    public static function emptyShop(): void
    {
        self::lay(self::database().'.empty');
    }

    /** A shop from nothing to the page of its first setup, by keyboard alone: a lead, a part, a machine, a setup. */
    public static function setupFromNothing(string $part, string $drawing): void
    {
        [$enter, $tab] = [WebDriverKeys::ENTER, WebDriverKeys::TAB];
        self::emptyShop();
        self::work();
        self::visit('/sign-in');
        self::see('The first lead');
        self::press('A. Founder'.$tab.'lead@shop.example'.$tab.'a pendulum and a weight'.$tab.'a pendulum and a weight'.$enter);
        self::see('There are no parts yet.');
        self::press($enter);
        self::see('Drawing number');
        self::press($part.$tab.$drawing.$tab.'brass'.$enter);
        self::see('No machine yet');
        self::press($enter);
        self::see('It begins as a usual mill');
        self::press('Elm'.$enter);
        self::see('machine coordinates, mm');
        self::alt('0');
        self::press(WebDriverKeys::HOME, $enter);
        self::see('No setup yet');
        self::tabTo('New setup');
        self::press($enter);
        self::see('How it is held');
        self::press($tab.'Vice'.$enter);
        self::see('May it run?');
    }

    /** What has gone on in the demo shop: a crib, lathes, a job begun again. */
    public static function past(): void
    {
        self::artisan(self::database(), 'db:seed --class=ShopHistorySeeder --force');
        self::artisan(self::database(), 'queue:work --queue=default,verdicts --stop-when-empty');
    }

    private static function artisan(string $database, string $command): void
    {
        $artisan = escapeshellarg(dirname(__DIR__, 2).'/artisan');
        exec('env '.self::environment($database)." php -d variables_order=EGPCS {$artisan} {$command} 2>&1", $output, $status);
        if ($status !== 0) {
            throw new RuntimeException("{$command} failed: ".implode("\n", $output));
        }
    }

    private static function lay(string $shop): void
    {
        array_map(unlink(...), array_filter([self::database(), self::database().'-wal', self::database().'-shm'], file_exists(...)));
        copy($shop, self::database());
    }

    /** Presses Tab until what has the focus has this name. */
    public static function tabTo(string $name): void
    {
        self::until(static function () use ($name): bool {
            self::press(WebDriverKeys::TAB);

            return self::driver()->executeScript(
                'const now = document.activeElement; return now.getAttribute("aria-label") ?? (now.labels?.[0] ?? now).textContent.trim()',
            ) === $name;
        }, "Tab to lead to {$name}");
    }

    /** The inside of the window in CSS pixels. */
    public static function size(int $width, int $height): void
    {
        $window = self::driver()->manage()->window();
        $window->setSize(new WebDriverDimension($width, $height));
        [$inner, $tall] = (array) self::driver()->executeScript('return [window.innerWidth, window.innerHeight]');
        $window->setSize(new WebDriverDimension(2 * $width - (int) $inner, 2 * $height - (int) $tall));
    }

    public static function find(string $css): RemoteWebElement
    {
        return self::until(static fn (): RemoteWebElement => self::driver()->findElement(WebDriverBy::cssSelector($css)), "{$css} on the screen");
    }

    /** An element with this very text, or this accessible name. */
    public static function named(string $tag, string $name): RemoteWebElement
    {
        $quoted = '"'.$name.'"';

        return self::until(
            static fn (): RemoteWebElement => self::driver()->findElement(
                WebDriverBy::xpath("//{$tag}[normalize-space(.)={$quoted} or @aria-label={$quoted}]"),
            ),
            "{$tag} {$name} on the screen",
        );
    }

    public static function see(string $text): void
    {
        $seen = '';
        self::until(static function () use ($text, &$seen): bool {
            return str_contains($seen = self::text(), $text);
        }, "“{$text}” on the screen");
        Assert::assertStringContainsString($text, $seen);
    }

    public static function notSee(string $text): void
    {
        $seen = $text;
        self::until(static function () use ($text, &$seen): bool {
            return ! str_contains($seen = self::text(), $text);
        }, "no “{$text}” on the screen");
        Assert::assertStringNotContainsString($text, $seen);
    }

    /** What an element says, as the browser itself puts it: quicker than the driver's own way. Read again where the page changes under it. */
    public static function text(string $css = 'body'): string
    {
        for ($try = 0; ; $try++) {
            try {
                return (string) self::driver()->executeScript(
                    'return arguments[0].innerText', [self::driver()->findElement(WebDriverBy::cssSelector($css))],
                );
            } catch (StaleElementReferenceException $e) {
                if ($try === 20) {
                    throw $e;
                }
                usleep(50_000);
            }
        }
    }

    /** The picture of the drawing as it is on its canvas, to tell whether it changed. */
    public static function drawing(): string
    {
        return md5((string) self::driver()->executeScript('return document.querySelector(\'[data-testid="drawing"] canvas\').toDataURL()'));
    }

    public static function press(string ...$keys): void
    {
        // What has the focus may be drawn anew or hidden under the press.
        for ($try = 0; ; $try++) {
            try {
                self::driver()->getKeyboard()->sendKeys($keys);

                return;
            } catch (StaleElementReferenceException|ElementNotInteractableException $e) {
                if ($try === 20) {
                    throw $e;
                }
                usleep(50_000);
            }
        }
    }

    /** Types into a field in the place of what stood there. */
    public static function typeInto(string $css, string $text): void
    {
        self::find($css)->click();
        self::press(WebDriverKeys::CONTROL, 'a');
        self::press(WebDriverKeys::NULL, $text);
    }

    /** Presses a key with Alt held. */
    public static function alt(string $key): void
    {
        self::press(WebDriverKeys::ALT, $key);
        self::press(WebDriverKeys::NULL);
    }

    /** Waits for the check of what stands in the listing; the verdicts of a list are none of it. */
    public static function settle(): void
    {
        usleep(250_000);
        self::until(
            static fn (): bool => (bool) self::driver()->executeScript(
                'const verdict = document.querySelector("[role=status][data-verdict]");'
                    .'return verdict !== null && getComputedStyle(verdict.parentElement).opacity === "1"',
            ),
            'the check to settle',
        );
    }

    /**
     * @template T
     *
     * @param  callable(): T  $wanted
     * @return T what is wanted, as soon as it is true
     */
    public static function until(callable $wanted, string $what, int $seconds = self::PATIENCE_SECONDS): mixed
    {
        $end = microtime(true) + $seconds;
        do {
            try {
                $got = $wanted();
                if ($got) {
                    return $got;
                }
            } catch (NoSuchElementException|StaleElementReferenceException) {
            }
            usleep(50_000);
        } while (microtime(true) < $end);

        $focus = self::driver()->executeScript('return document.activeElement.outerHTML.slice(0, 200)');
        $says = self::text();
        // A dialog stands at the end of the page.
        $says = mb_strlen($says) > 2400 ? mb_substr($says, 0, 1200).' […] '.mb_substr($says, -1200) : $says;

        throw new RuntimeException("Waited in vain for {$what}. The focus is on {$focus}. The screen says: {$says}");
    }

    private static function prepare(string $seeded): void
    {
        file_put_contents($seeded, '');
        foreach (['migrate --force', 'db:seed --force'] as $command) {
            if ($command === 'db:seed --force') {
                copy($seeded, self::database().'.empty');
            }
            self::artisan($seeded, $command);
        }
    }

    private static function start(): void
    {
        $root = dirname(__DIR__, 2);
        $port = self::freePort();
        self::$address = "http://127.0.0.1:{$port}";
        $environment = self::environment(self::database())." PHP_CLI_SERVER_WORKERS=4 APP_URL=http://127.0.0.1:{$port}";
        self::launch(
            "cd {$root}/public && exec env {$environment} php -d variables_order=EGPCS -d upload_max_filesize=48M -d post_max_size=64M "
                ."-d memory_limit=1G -S 127.0.0.1:{$port} ../vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php",
        );
        $driverPort = self::freePort();
        self::launch("exec chromedriver --port={$driverPort}");
        register_shutdown_function(self::stop(...));

        $options = new ChromeOptions;
        $options->addArguments([
            '--headless=new', '--no-sandbox', '--disable-dev-shm-usage', '--disable-quic', '--no-first-run', '--disable-background-networking',
            '--disable-component-update', '--disable-sync', '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--hide-scrollbars',
            // Pages are painted more quickly without the software that stands for a graphics card; drawings in depth still have it.
            '--disable-gpu-compositing', '--disable-gpu-rasterization',
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        self::wait($port);
        self::wait($driverPort);
        self::$driver = RemoteWebDriver::create("http://127.0.0.1:{$driverPort}", $capabilities, 60_000, 60_000);
    }

    /** Sets the queue workers to work on the shop: as in the demo, one is kept for the checks somebody waits for. */
    public static function work(): void
    {
        foreach (['default', 'default,verdicts'] as $queue) {
            self::$workers[] = self::launch(
                'cd '.dirname(__DIR__, 2).' && exec env '.self::environment(self::database())
                    ." php -d variables_order=EGPCS -d memory_limit=1G artisan queue:work --queue={$queue} --sleep=0.1 --memory=900",
            );
        }
    }

    private static function stop(): void
    {
        self::$driver?->quit();
        foreach (self::$processes as $process) {
            self::end($process);
        }
    }

    /** @param  resource  $process */
    private static function end(mixed $process): void
    {
        $group = proc_get_status($process)['pid'];
        posix_kill(-$group, SIGTERM);
        // A worker ends its job first; what it still writes belongs to the shop of the test before.
        for ($waited = 0; $waited < 100 && posix_kill(-$group, 0); $waited++) {
            proc_get_status($process);
            usleep(50_000);
        }
        posix_kill(-$group, SIGKILL);
        proc_terminate($process);
    }

    /** @return resource */
    private static function launch(string $command): mixed
    {
        $log = fopen(self::storage().'/logs/browser-tests.log', 'a');
        $process = proc_open(['setsid', 'bash', '-c', $command], [['file', '/dev/null', 'r'], $log, $log], $pipes);
        if ($process === false) {
            throw new RuntimeException("Could not start: {$command}");
        }
        self::$processes[] = $process;

        return $process;
    }

    private static function wait(int $port): void
    {
        for ($i = 0; $i < 200; $i++) {
            $probe = curl_init("http://127.0.0.1:{$port}/");
            curl_setopt_array($probe, [CURLOPT_CONNECT_ONLY => true, CURLOPT_TIMEOUT => 1]);
            if (curl_exec($probe) !== false) {
                return;
            }
            usleep(50_000);
        }
        throw new RuntimeException("Nothing answers on port {$port}.");
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No free port.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }

    private static function database(): string
    {
        return self::storage().'/browser.sqlite';
    }

    /** Where the server keeps what it writes: sessions, readings, slots of long checks. */
    private static function storage(): string
    {
        $storage = dirname(__DIR__, 2).'/storage/framework/testing/browser'.getenv('TEST_TOKEN');
        foreach (['app/private', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'] as $folder) {
            is_dir("{$storage}/{$folder}") || mkdir("{$storage}/{$folder}", 0775, true);
        }

        return $storage;
    }

    private static function environment(string $database): string
    {
        return 'APP_ENV=testing APP_KEY=base64:AAECAwQFBgcICQoLDA0ODxAREhMUFRYXGBkaGxwdHh8= APP_DEBUG=true DB_CONNECTION=sqlite SESSION_DRIVER=file '
            .'CACHE_STORE=database QUEUE_CONNECTION=database BCRYPT_ROUNDS=4 DB_DATABASE='
            .escapeshellarg($database).' LARAVEL_STORAGE_PATH='.escapeshellarg(self::storage());
    }
}
