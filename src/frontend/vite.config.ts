import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

const server = 'http://127.0.0.1:5080';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { outDir: '../../artifacts/app/wwwroot', emptyOutDir: true, assetsInlineLimit: 0 },
  server: { proxy: { '/api': server, '/hub': { target: server, ws: true } } },
  test: { include: ['src/**/*.test.{ts,tsx}'] },
});
