// Makes TypeScript types of the JSON Schemas, so that nothing is described twice.
import { compileFromFile } from 'json-schema-to-typescript';
import { mkdir, readdir, writeFile } from 'node:fs/promises';
import { basename } from 'node:path';

await mkdir('resources/js/contracts', { recursive: true });
for (const file of await readdir('schemas')) {
    const source = await compileFromFile(`schemas/${file}`, { additionalProperties: false, bannerComment: `/* Made from schemas/${file}; change that. */` });
    await writeFile(`resources/js/contracts/${basename(file, '.json')}.d.ts`, source);
}
