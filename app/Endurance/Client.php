<?php

declare(strict_types=1);

namespace App\Endurance;

use GuzzleHttp\Client as Guzzle;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Exception\TransferException;
use Psr\Http\Message\ResponseInterface;

/** Somebody at a browser, as far as the server can tell: signs in, sends, and comes back after the server was gone. */
final class Client
{
    private CookieJar $cookies;

    private Guzzle $http;

    public function __construct(private readonly string $address, private readonly string $email = 'lead@fernhollow.example')
    {
        $this->begin();
    }

    /** @return ResponseInterface|null null where nobody answered */
    public function send(string $method, string $path, string $json): ?ResponseInterface
    {
        try {
            $answer = $this->http->request(
                $method, $path,
                [
                    'body' => $json,
                    'headers' => [
                        'Content-Type' => 'application/json', 'Accept' => 'application/json',
                        'X-XSRF-TOKEN' => urldecode((string) $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue()),
                    ],
                ],
            );
        } catch (TransferException) {
            return null;
        }
        if ($answer->getStatusCode() === 401 || $answer->getStatusCode() === 419) {
            $this->begin();

            return null;
        }

        return $answer;
    }

    private function begin(): void
    {
        $this->cookies = new CookieJar;
        $this->http = new Guzzle(['base_uri' => $this->address, 'cookies' => $this->cookies, 'http_errors' => false, 'timeout' => 60]);
        try {
            $this->http->get('/sign-in');
        } catch (TransferException) {
            return;
        }
        $this->send('POST', '/sign-in', (string) json_encode(['email' => $this->email, 'password' => 'escapement']));
    }
}
