// Starts the built application on a free port with a data folder of its own, for tests, pictures and benchmarks.
import { spawn } from 'node:child_process';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const DLL = fileURLToPath(new URL('../artifacts/app/Zephyros.Web.dll', import.meta.url));

/** Starts the application; resolves when it answers. Without a data folder it gets a new one under the system's temporary folder. */
export async function startApp({ data, demo = true, port = 0 } = {}) {
  const folder = data ?? (await mkdtemp(join(tmpdir(), 'zephyros-')));
  const child = spawn('dotnet', [DLL, '--port', String(port), '--data', folder, '--demo', String(demo)], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const address = await new Promise((resolve, reject) => {
    let said = '';
    const listen = (chunk) => {
      said += chunk;
      const found = /^Zephyros: (http:\S+)/m.exec(said);
      if (found) resolve(found[1]);
    };
    child.stdout.on('data', listen);
    child.stderr.on('data', listen);
    child.on('exit', (code) => reject(new Error(`The application ended with ${code}: ${said}`)));
  });
  const stop = (signal = 'SIGTERM') =>
    new Promise((resolve) => {
      child.once('exit', resolve);
      child.kill(signal);
    });
  return { address, folder, stop };
}
