import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';

const server = 'http://127.0.0.1:5080';

// The licences of what ships ask to be shipped with it. Those of the scripts Vite collects; the fonts come in by a style sheet.
const fontLicences: Plugin = {
  name: 'font-licences',
  apply: 'build',
  generateBundle() {
    const source = ['next', 'mono']
      .map((font) => readFileSync(`node_modules/@fontsource-variable/atkinson-hyperlegible-${font}/LICENSE`, 'utf8'))
      .join('\n\n');
    this.emitFile({ type: 'asset', fileName: 'licences-fonts.txt', source });
  },
};

// Scripts and styles are packed once, here, as tightly as can be. Fonts are packed already.
const packed: Plugin = {
  name: 'packed',
  apply: 'build',
  writeBundle({ dir = '' }, bundle) {
    for (const name of Object.keys(bundle).filter((n) => /\.(js|css)$/.test(n))) {
      const file = join(dir, name);
      const plain = readFileSync(file);
      writeFileSync(`${file}.br`, brotliCompressSync(plain));
      writeFileSync(`${file}.gz`, gzipSync(plain, { level: 9 }));
    }
  },
};

export default defineConfig({
  plugins: [react(), tailwindcss(), fontLicences, packed],
  build: {
    outDir: '../../artifacts/app/wwwroot',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    license: { fileName: 'licences-interface.txt' },
  },
  server: { proxy: { '/api': server, '/hub': { target: server, ws: true } } },
  test: { include: ['src/**/*.test.{ts,tsx}'] },
});
