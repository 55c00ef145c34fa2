// Makes TypeScript types of the JSON Schemas, so that nothing is described twice.
import { compileFromFile } from 'json-schema-to-typescript';
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import { basename } from 'node:path';

await mkdir('resources/js/contracts', { recursive: true });
// A schema names another by its id: urn:oak-trace:setup-1 is schemas/oak-setup-1.json.
const byId = { order: 1, canRead: /^urn:oak-trace:/, read: ({ url }) => readFile(`schemas/oak-${url.split(':')[2]}.json`, 'utf8') };
for (const file of await readdir('schemas')) {
    const source = await compileFromFile(`schemas/${file}`, {
        additionalProperties: false, bannerComment: `/* Made from schemas/${file}; change that. */`, $refOptions: { resolve: { byId } },
    });
    await writeFile(`resources/js/contracts/${basename(file, '.json')}.d.ts`, source);
}
