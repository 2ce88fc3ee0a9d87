import type { PatchOperation, Setup, SetupEdit } from './types';

/** One member of a setup and what it becomes. */
export interface Change {
  /** The way to the member, from the root of the setup. */
  path: readonly string[];
  /** The new value; undefined takes the member away. */
  value: unknown;
}

/**
 * Makes the edit that puts values into a setup. Each value that is replaced is tested first, so that the edit applies only to the
 * setup that it was made for.
 */
export function makeEdit(title: string, setup: Setup, changes: readonly Change[]): SetupEdit {
  const tests: PatchOperation[] = [];
  const puts: PatchOperation[] = [];
  for (const { path, value } of changes) {
    const pointer = path.map((name) => '/' + name.replaceAll('~', '~0').replaceAll('/', '~1')).join('');
    const present = path.reduce<unknown>((node, name) => (node as Record<string, unknown> | undefined)?.[name], setup);
    if (present === undefined) {
      if (value !== undefined) puts.push({ op: 'add', path: pointer, value });
    } else if (value === undefined) {
      tests.push({ op: 'test', path: pointer, value: present });
      puts.push({ op: 'remove', path: pointer });
    } else {
      tests.push({ op: 'test', path: pointer, value: present });
      puts.push({ op: 'replace', path: pointer, value });
    }
  }
  return { title, operations: [...tests, ...puts] };
}

/** An id made of a name that is not taken yet. */
export function freeId(name: string, taken: object): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .slice(0, 28)
      .replace(/^-+|-+$/g, '') || 'item';
  let id = base;
  for (let n = 2; id in taken; n++) id = `${base}-${n}`;
  return id;
}
