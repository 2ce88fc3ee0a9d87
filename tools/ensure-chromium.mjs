import { ensurePackages } from './debian.mjs';

ensurePackages([{ name: 'chromium', path: '/usr/bin/chromium' }], 'The browser tests');
