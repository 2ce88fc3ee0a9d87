// Writes the ranges that the documents give to numbers as a module of the interface, so that no field says them again.
import { readFile, writeFile } from 'node:fs/promises';

const json = async (file) => JSON.parse(await readFile(file, 'utf8'));
const ranges = new Map();

function note(name, schema) {
  if (typeof schema?.minimum === 'number' && !ranges.has(name))
    ranges.set(name, { min: schema.minimum, max: schema.maximum });
}

// Members of a setup by their place: kinds of a step or a test by their name, whatever stands under any id or at any place by a star.
function walk(schema, place) {
  if (typeof schema !== 'object' || schema === null) return;
  note(place, schema);
  for (const [member, of] of Object.entries(schema.properties ?? {})) walk(of, place ? `${place}.${member}` : member);
  for (const kind of schema.anyOf ?? []) walk(kind, `${place}.${kind.properties?.kind?.const ?? ''}`);
  walk(schema.additionalProperties, `${place}.*`);
  walk(schema.items, `${place}.*`);
}

walk(await json('docs/setup.schema.json'), '');

// What is asked for, by the name of its contract.
const { schemas } = (await json('src/Zephyros.Web/obj/openapi/zephyros.json')).components;
for (const [name, schema] of Object.entries(schemas).filter(
  ([name]) => name.endsWith('Request') || name === 'TypedReading',
))
  for (const [member, of] of Object.entries(schema.properties ?? {})) {
    note(`${name}.${member}`, of);
    note(`${name}.${member}.*`, of.items);
  }

const lines = [...ranges].map(([name, { min, max }]) => `  '${name}': { min: ${min}, max: ${max} },\n`);
await writeFile(
  'src/frontend/src/api/generated/ranges.ts',
  `/** How far numbers of the contracts may go, by their place. */\nexport const RANGES = {\n${lines.join('')}} as const;\n`,
);
