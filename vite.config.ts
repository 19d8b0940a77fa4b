import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  publicDir: 'app/public',
  build: { outDir: 'dist', target: 'es2022', sourcemap: false },
  worker: { format: 'es' },
});
