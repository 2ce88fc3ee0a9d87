/* global AbortSignal */
// make audit: asks the registries of packages whether anything that is used has a known weakness. Without a network, or where a
// registry gives no answer in time, it says so; that is no finding, and no all-clear either.
import { execFile } from 'node:child_process';
import { promisify } from 'node:util';

const run = promisify(execFile);
const LIMIT = 120_000;

/** What a command prints, also when it ends badly; null when it did not end in time or printed nothing. */
async function said(command, args) {
  try {
    return (await run(command, args, { timeout: LIMIT, maxBuffer: 64 << 20 })).stdout;
  } catch (error) {
    return error.killed || !error.stdout ? null : error.stdout;
  }
}

/** The weaknesses among the packages of the interface and the tools; null when nobody answered. */
async function npm() {
  try {
    const report = JSON.parse((await said('npm', ['audit', '--json'])) ?? '');
    return report.vulnerabilities && Object.values(report.vulnerabilities).map((v) => `${v.name}: ${v.severity}`);
  } catch {
    return null;
  }
}

/** Whether a source of NuGet packages tells about weaknesses at all. */
async function knowsWeaknesses(source) {
  const index = await fetch(source, { signal: AbortSignal.timeout(LIMIT) });
  return (await index.json()).resources.some((r) => r['@type'].startsWith('VulnerabilityInfo'));
}

/** The same of the server and its tests. */
async function nuget() {
  const args = ['list', 'Zephyros.slnx', 'package', '--vulnerable', '--include-transitive', '--format', 'json'];
  try {
    const report = JSON.parse((await said('dotnet', args)) ?? '');
    // A source that knows nothing of weaknesses finds none, which is no answer.
    const know = await Promise.all(report.sources.map(knowsWeaknesses));
    if ((report.problems ?? []).length > 0 || !know.some(Boolean)) return null;
    return report.projects
      .flatMap((project) => project.frameworks ?? [])
      .flatMap((framework) => [...(framework.topLevelPackages ?? []), ...(framework.transitivePackages ?? [])])
      .flatMap((p) => (p.vulnerabilities ?? []).map((v) => `${p.id} ${p.resolvedVersion}: ${v.severity}`));
  } catch {
    return null;
  }
}

let weak = false;
for (const [name, ask] of Object.entries({ npm, NuGet: nuget })) {
  const found = await ask();
  weak ||= (found?.length ?? 0) > 0;
  if (!found) console.log(`${name}: no answer from the registry. Nothing is known.`);
  else console.log(`${name}: ${found.length > 0 ? [...new Set(found)].join(', ') : 'no known weakness'}`);
}
process.exit(weak ? 1 : 0);
