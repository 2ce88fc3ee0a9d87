// Sees to it that Debian's Chromium is there: installs the package when it may, says what to do otherwise.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const CHROMIUM = '/usr/bin/chromium';

if (!existsSync(CHROMIUM)) {
  const mayInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (mayInstall) {
    console.log('Installing the Debian package chromium ...');
    const run = (args) =>
      spawnSync('apt-get', args, { stdio: 'inherit', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
    run(['update', '-qq']);
    run(['install', '-y', '-qq', '--no-install-recommends', 'chromium']);
  }
  if (!existsSync(CHROMIUM)) {
    console.error('The browser tests need Chromium. Install it: sudo apt-get install chromium');
    process.exit(1);
  }
}
