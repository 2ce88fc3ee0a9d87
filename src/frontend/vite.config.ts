import { readFileSync } from 'node:fs';
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

export default defineConfig({
  plugins: [react(), tailwindcss(), fontLicences],
  build: {
    outDir: '../../artifacts/app/wwwroot',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    license: { fileName: 'licences-interface.txt' },
  },
  server: { proxy: { '/api': server, '/hub': { target: server, ws: true } } },
  test: { include: ['src/**/*.test.{ts,tsx}'] },
});
