// Sees to it that a Debian package is there: installs it when it may, says what to do otherwise.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

export function ensurePackages(programs, purpose) {
  const missing = () => programs.filter(({ path }) => !existsSync(path)).map(({ name }) => name);
  if (missing().length === 0) return;
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log(`Installing Debian packages: ${missing().join(', ')} ...`);
    const run = (args) =>
      spawnSync('apt-get', args, { stdio: 'inherit', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
    const wanted = missing();
    run(['update', '-qq']);
    run(['install', '-y', '-qq', '--no-install-recommends', ...wanted]);
  }
  if (missing().length > 0) {
    console.error(`${purpose} need: sudo apt-get install ${missing().join(' ')}`);
    process.exit(1);
  }
}
