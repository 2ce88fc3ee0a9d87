// make test: format, lint, build and every suite; then the sum over all suites and the share of test code.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { testShare } from './test-share.mjs';

const RESULTS = 'artifacts/results';
const env = { ...process.env, FORCE_COLOR: '0', NO_COLOR: '1', PLAYWRIGHT_JSON_OUTPUT_NAME: `${RESULTS}/browser.json` };
const total = { passed: 0, failed: 0 };

/** Runs a command and shows what it says only when it fails. */
function run(name, command, args) {
  const start = Date.now();
  const { status, stdout, stderr } = spawnSync(command, args, { env, encoding: 'utf8', maxBuffer: 1 << 28 });
  const seconds = ((Date.now() - start) / 1000).toFixed(0).padStart(4);
  console.log(`${seconds} s  ${status === 0 ? 'ok    ' : 'FAILED'}  ${name}`);
  if (status !== 0) console.log(`${stdout ?? ''}${stderr ?? ''}`);
  return { ok: status === 0, output: `${stdout ?? ''}` };
}

/** A step without which nothing after it makes sense. */
function need(name, command, args) {
  if (!run(name, command, args).ok) {
    console.log(`0 passed, 1 failed`);
    process.exit(1);
  }
}

/** A check counts as one test. */
function check(name, command, args) {
  total[run(name, command, args).ok ? 'passed' : 'failed']++;
}

/** A suite counts as many tests as it reports; one that fails without a count counts as one failure. */
function suite(name, command, args, count) {
  const { ok, output } = run(name, command, args);
  let sum = null;
  try {
    sum = count(output);
  } catch {
    // The report is missing: the suite broke before it could write one.
  }
  total.passed += sum?.passed ?? 0;
  total.failed += sum?.failed || (ok && sum?.passed ? 0 : 1);
}

const xunit = (output) => {
  const [, all, errors, failed] = /Total: (\d+), Errors: (\d+), Failed: (\d+)/.exec(output);
  const wrong = Number(errors) + Number(failed);
  return { passed: Number(all) - wrong, failed: wrong };
};
const json = (file) => JSON.parse(readFileSync(`${RESULTS}/${file}`, 'utf8'));

rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });

need('packages', 'make', ['restore']);
need('browser', 'node', ['tools/ensure-chromium.mjs']);
need('application', 'make', ['app']);
need('tests and benchmarks build', 'dotnet', [
  'build',
  'Zephyros.slnx',
  '-c',
  'Release',
  '--no-restore',
  '-v',
  'quiet',
]);
check('C# format', 'dotnet', ['csharpier', 'check', '.']);
for (const script of ['check:format', 'check:lint', 'check:types', 'check:unused'])
  check(`interface ${script}`, 'npm', ['run', '--silent', script]);
for (const project of ['Core', 'Storage', 'Web']) {
  const name = `Zephyros.${project}.Tests`;
  suite(name, 'dotnet', [`tests/${name}/bin/Release/net10.0/${name}.dll`, '-noColor'], xunit);
}
suite(
  'interface units',
  'npx',
  ['vitest', 'run', '--root', 'src/frontend', '--reporter=json', `--outputFile=../../${RESULTS}/units.json`],
  () => {
    const { numPassedTests, numFailedTests } = json('units.json');
    return { passed: numPassedTests, failed: numFailedTests };
  },
);
suite(
  'browser',
  'npx',
  ['playwright', 'test', '--config', 'tests/browser/playwright.config.ts', '--reporter=list,json'],
  () => {
    const { expected, flaky, unexpected } = json('browser.json').stats;
    return { passed: expected + flaky, failed: unexpected };
  },
);

console.log(`${total.passed} passed, ${total.failed} failed`);
console.log(testShare());
process.exit(total.failed === 0 ? 0 : 1);
