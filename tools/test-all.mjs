// make test: format, lint, build and every suite; then the sum over all suites and the share of test code.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { clearInterval, setInterval } from 'node:timers';
import { testShare } from './test-share.mjs';

const RESULTS = 'artifacts/results';
const env = {
  ...process.env,
  FORCE_COLOR: '0',
  NO_COLOR: '1',
  ZEPHYROS_RESULTS: resolve(RESULTS),
  PLAYWRIGHT_JSON_OUTPUT_FILE: resolve(RESULTS, 'browser.json'),
};
const total = { passed: 0, failed: 0 };
const DEEP = process.env.DEEP === '1';

/** Runs a command and shows what it says only when it fails. */
function run(name, command, args) {
  const start = Date.now();
  const child = spawn(command, args, { env, stdio: ['ignore', 'pipe', 'pipe'] });
  const said = { stdout: '', stderr: '' };
  for (const stream of ['stdout', 'stderr'])
    child[stream].setEncoding('utf8').on('data', (text) => {
      said[stream] += text;
      // A long run says how far it is.
      if (DEEP && stream === 'stderr') process.stderr.write(text);
    });
  const beat = setInterval(() => {
    if (DEEP) console.log(`${((Date.now() - start) / 60_000).toFixed(0).padStart(4)} min  ...  ${name}`);
  }, 60_000);
  return new Promise((resolve) => {
    child.on('close', (status) => {
      clearInterval(beat);
      const seconds = ((Date.now() - start) / 1000).toFixed(0).padStart(4);
      console.log(`${seconds} s  ${status === 0 ? 'ok    ' : 'FAILED'}  ${name}`);
      if (status !== 0) console.log(said.stdout + said.stderr);
      resolve({ ok: status === 0, output: said.stdout });
    });
  });
}

/** A step without which nothing after it makes sense. */
async function need(name, command, args) {
  if ((await run(name, command, args)).ok) return;
  console.log(`${total.passed} passed, ${total.failed + 1} failed`);
  process.exit(1);
}

/** A check counts as one test. */
async function check(name, command, args) {
  total[(await run(name, command, args)).ok ? 'passed' : 'failed']++;
}

/** A suite counts as many tests as it reports; one that fails without a count counts as one failure. */
async function suite(name, command, args, count) {
  const { ok, output } = await run(name, command, args);
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

async function serverBuild() {
  await need('tests, with analyzers', 'make', ['compile', 'ANALYZERS=true']);
}

async function serverSuites() {
  for (const project of ['Core', 'Storage', 'Web']) {
    const name = `Zephyros.${project}.Tests`;
    // The browser, which waits for nobody, comes first; what computes takes what is left.
    const dll = `tests/${name}/bin/Release/net10.0/${name}.dll`;
    const report = ['-noColor', '-xml', resolve(RESULTS, `${project}.xml`)];
    await suite(name, 'nice', ['-n', '10', 'dotnet', dll, ...report], xunit);
  }
}

/** The classes of a suite that take longest, in seconds. */
function slowest(project) {
  const classes = readFileSync(`${RESULTS}/${project}.xml`, 'utf8').matchAll(
    /<collection [^>]*name="Test collection for [\w.]*?(\w+) [^"]*"[^>]* time="([\d.]+)"/g,
  );
  return [...classes]
    .map(([, name, time]) => [name, Number(time)])
    .sort(([, a], [, b]) => b - a)
    .slice(0, 8)
    .map(([name, time]) => `${name} ${time.toFixed(0)}`)
    .join(', ');
}

/** What failed, by name and with the beginning of what was said of it; a page of output may be all that somebody sees. */
function failures() {
  const text = (file) => (existsSync(`${RESULTS}/${file}`) ? readFileSync(`${RESULTS}/${file}`, 'utf8') : '');
  const server = ['Core', 'Storage', 'Web'].flatMap((project) =>
    [
      ...text(`${project}.xml`).matchAll(
        /<test [^>]*?\bname="([^"]*)"[^>]* result="Fail"[^>]*>.*?<message>(?:<!\[CDATA\[)?(.*?)(?:\]\]>)?<\/message>/gs,
      ),
    ].map(([, name, message]) => [name, message]),
  );
  const specs = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specs)];
  const browser = (JSON.parse(text('browser.json') || '{}').suites ?? [])
    .flatMap(specs)
    .filter((spec) => !spec.ok)
    // The second error of a test that ran out of time names the step that it waited in.
    .map((spec) => [
      spec.title,
      spec.tests.flatMap((t) => t.results.flatMap((r) => r.errors.map((e) => e.message))).join('\n'),
    ]);
  return [...server, ...browser].map(([name, message]) => `failed: ${name}\n${message.slice(0, 800)}\n`);
}

async function interfaceSide() {
  for (const script of ['check:lint', 'check:types', 'check:unused'])
    await check(`interface ${script}`, 'npm', ['run', '--silent', script]);
  const report = ['--reporter=json', `--outputFile=../../${RESULTS}/units.json`];
  await suite('interface units', 'npx', ['vitest', 'run', '--root', 'src/frontend', ...report], () => {
    const { numPassedTests, numFailedTests } = json('units.json');
    return { passed: numPassedTests, failed: numFailedTests };
  });
}

async function browserSuite() {
  const browser = ['playwright', 'test', '--config', 'tests/browser/playwright.config.ts', '--reporter=list,json'];
  await suite('browser', 'npx', browser, () => {
    const { expected, flaky, unexpected } = json('browser.json').stats;
    return { passed: expected + flaky, failed: unexpected };
  });
}

await need('packages', 'make', ['-j2', 'restore']);
await need('browser', 'node', ['tools/ensure-chromium.mjs']);
await need('outside references', 'node', ['tools/ensure-references.mjs']);
await Promise.all([
  need('application, with analyzers', 'make', ['app', 'ANALYZERS=true']),
  check('C# format', 'dotnet', ['csharpier', 'check', '.']),
  check('interface format', 'npm', ['run', '--silent', 'check:format']),
]);
// The two sides share nothing but the machine's two cores.
await Promise.all([serverBuild().then(serverSuites), interfaceSide().then(browserSuite)]);

console.log(`${total.passed} passed, ${total.failed} failed`);
console.log(testShare());
if (existsSync(`${RESULTS}/Core.xml`)) console.log(`longest in the core, in seconds: ${slowest('Core')}`);
if (existsSync(`${RESULTS}/scores.txt`)) console.log(readFileSync(`${RESULTS}/scores.txt`, 'utf8').trim());
// Last, as the end of an output is what somebody sees of it.
for (const failure of failures()) console.log(failure);
process.exit(total.failed === 0 ? 0 : 1);
