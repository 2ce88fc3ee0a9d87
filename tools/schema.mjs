// Writes the schema that the program serves to docs/setup.schema.json.
import { writeFile } from 'node:fs/promises';
import { startApp } from './app.mjs';

const app = await startApp();
try {
  const schema = await (await fetch(`${app.address}/api/schema`)).json();
  await writeFile('docs/setup.schema.json', JSON.stringify(schema, null, 2) + '\n');
} finally {
  await app.stop();
}
