// The general-purpose tools that results are compared with.
import { ensurePackages } from './debian.mjs';

// The model checker writes a C program; the C library's headers come with libc6-dev.
ensurePackages(
  [
    { name: 'spin', path: '/usr/bin/spin' },
    { name: 'gcc', path: '/usr/bin/gcc' },
    { name: 'libc6-dev', path: '/usr/include/stdio.h' },
    { name: 'sigrok-cli', path: '/usr/bin/sigrok-cli' },
  ],
  'The comparisons with a model checker and a logic analyser',
);
