<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Oak Trace</title>
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <style>
        body { margin: 0; min-height: 100vh; display: grid; place-items: center; font: 1.0625rem/1.5 system-ui, sans-serif;
            background: #f2eee2; color: #22211e; }
        main { max-width: 34rem; padding: 2rem; background: #fbf8ef; border: 1px solid #8b877c; }
        h1 { font-size: 1.25rem; margin: 0 0 .75rem; }
        p { margin: 0 0 1rem; }
        a { color: inherit; font-weight: 600; }
    </style>
</head>
<body>
    <main>
        <h1>This did not work</h1>
        <p>{{ $message }}</p>
        <p><a href="/">To the parts</a></p>
    </main>
</body>
</html>
