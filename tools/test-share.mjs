// Counts the lines of code that are tests, without blank lines and without what is generated.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const CODE = /\.(cs|ts|tsx|mjs|css|sql|html|sh)$/;
const GENERATED = /(^|\/)generated\//;
const TEST = /(^|\/)tests\/|\.test\.tsx?$/;

/** One line: how much of the code is test code. */
export function testShare() {
  const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { encoding: 'utf8' }).split('\n');
  const lines = { test: 0, other: 0 };
  for (const file of files.filter((name) => CODE.test(name) && !GENERATED.test(name))) {
    const count = readFileSync(file, 'utf8')
      .split('\n')
      .filter((line) => line.trim()).length;
    lines[TEST.test(file) ? 'test' : 'other'] += count;
  }
  const all = lines.test + lines.other;
  return `Test code: ${lines.test} of ${all} lines, ${((100 * lines.test) / all).toFixed(1)} %`;
}
