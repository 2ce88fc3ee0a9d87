import { ensurePackages } from './debian.mjs';

// The checker writes a C program; the C library's headers come with libc6-dev.
ensurePackages(
  [
    { name: 'spin', path: '/usr/bin/spin' },
    { name: 'gcc', path: '/usr/bin/gcc' },
    { name: 'libc6-dev', path: '/usr/include/stdio.h' },
  ],
  'The comparisons with a model checker',
);
