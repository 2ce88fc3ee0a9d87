import { ensurePackages } from './debian.mjs';

// Chromium without a window is a package of its own in Debian, and costs the tests a quarter less than the whole browser.
ensurePackages([{ name: 'chromium-headless-shell', path: '/usr/bin/chromium-headless-shell' }], 'The browser tests');
