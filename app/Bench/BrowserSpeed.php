<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Program;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use OakTrace\Core\Language\Program as Text;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Verification;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * How long a very long program takes to open in a browser beside the core's own time, and at how many frames a second the flat
 * views pan, zoom and are scrubbed with it. Chromium draws on the processor here; there is no graphics card.
 */
final readonly class BrowserSpeed
{
    private const PATIENCE_SECONDS = 120;

    private const FRAMES = 60;

    /** Moves the pointer, the wheel or the run on by a step before each of so many frames, and gives the frames a second. */
    private const MEASURE = <<<'JS'
        const [what, frames, done] = arguments;
        const sheet = document.querySelector('[data-testid=drawing] canvas').parentElement;
        const strip = document.querySelector('[data-testid=strip]');
        const point = (element, type, x, y) => {
            const box = element.getBoundingClientRect();
            element.setPointerCapture = () => undefined;
            element.dispatchEvent(new PointerEvent(type, { bubbles: true, clientX: box.left + x, clientY: box.top + y, pointerId: 1, buttons: 1 }));
        };
        const steps = {
            pan: (i) => point(sheet, 'pointermove', 200 + 2 * i, 120 + i),
            zoom: (i) => {
                const box = sheet.getBoundingClientRect();
                sheet.dispatchEvent(new WheelEvent('wheel', { bubbles: true, deltaY: i % 2 ? -60 : 50, clientX: box.left + 200, clientY: box.top + 120 }));
            },
            scrub: (i) => point(strip, 'pointermove', 50 + 8 * i, 50),
        };
        const held = what === 'scrub' ? strip : sheet;
        (async () => {
            if (what !== 'zoom') point(held, 'pointerdown', 200, 120);
            const times = [];
            for (let i = 0; i < frames; i++) {
                times.push(await new Promise((next) => requestAnimationFrame(next)));
                steps[what](i);
            }
            point(held, 'pointerup', 320, 180);
            done((frames - 1) * 1000 / (times[frames - 1] - times[0]));
        })();
        JS;

    public function __construct(private Setup $setup)
    {
    }

    /** @return list<array{string, float, string}> none where no browser is installed */
    public function figures(int $blocks): array
    {
        if (! class_exists(RemoteWebDriver::class) || (new Process(['chromedriver', '--version']))->run() !== 0) {
            return [];
        }
        $text = LongProgram::text($blocks);
        $start = hrtime(true);
        Verification::of(Text::fromText($text), $this->setup);
        $core = (hrtime(true) - $start) / 1e9;

        return BenchShop::during(function (BenchShop $shop) use ($text, $core): array {
            config(['database.connections.bench' => ['database' => $shop->database] + (array) config('database.connections.sqlite')]);
            $program = Program::on('bench')->create(['setup_id' => 1, 'name' => 'LONG']);
            $program->revisions()->create(['number' => 1, 'text' => $text, 'user_id' => 1, 'reason' => '']);
            $port = BenchShop::freePort();
            $driver = new Process(['chromedriver', "--port={$port}"]);
            $driver->setTimeout(null)->start();
            try {
                usleep(800_000);

                return $this->measured($this->browser($port), $shop->address, $program->id, $core);
            } finally {
                $driver->stop(1);
            }
        });
    }

    private function browser(int $port): RemoteWebDriver
    {
        $options = new ChromeOptions;
        $options->addArguments(
            [
                '--headless=new', '--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--no-first-run', '--disable-background-networking',
                '--hide-scrollbars', '--window-size=1280,900',
            ],
        );
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);

        return RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 60_000, 180_000);
    }

    /** @return list<array{string, float, string}> */
    private function measured(RemoteWebDriver $browser, string $address, int $program, float $core): array
    {
        try {
            $browser->get("{$address}/sign-in");
            self::until(static fn (): bool => $browser->findElements(WebDriverBy::name('password')) !== []);
            $browser->findElement(WebDriverBy::name('email'))->sendKeys('lead@fernhollow.example');
            $browser->findElement(WebDriverBy::name('password'))->sendKeys('escapement'.WebDriverKeys::ENTER);
            self::until(static fn (): bool => $browser->findElements(WebDriverBy::cssSelector('[data-verdict]')) !== []);
            $start = hrtime(true);
            $browser->get("{$address}/programs/{$program}");
            self::until(static fn (): bool => $browser->findElements(WebDriverBy::cssSelector('[data-testid=drawing] canvas')) !== []);
            $open = (hrtime(true) - $start) / 1e9;
            sleep(2);
            $browser->manage()->timeouts()->setScriptTimeout(self::PATIENCE_SECONDS);
            $figures = [['browser.openSeconds', $open, 's'], ['browser.coreSeconds', $core, 's']];
            foreach (['pan', 'zoom', 'scrub'] as $what) {
                $figures[] = ["browser.{$what}Fps", (float) $browser->executeAsyncScript(self::MEASURE, [$what, self::FRAMES]), 'frames/s'];
                sleep(1);
            }

            return $figures;
        } finally {
            $browser->quit();
        }
    }

    /** @param  callable(): bool  $wanted */
    private static function until(callable $wanted): void
    {
        for ($end = hrtime(true) + self::PATIENCE_SECONDS * 1e9; ! $wanted(); usleep(20_000)) {
            if (hrtime(true) > $end) {
                throw new RuntimeException('The browser did not show what it should.');
            }
        }
    }
}
