import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    // Every chunk, font and worker is kept on the device at the first visit; a newer build waits until it is taken.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      includeAssets: ['icon.svg'],
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff,woff2,ttf}'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        navigateFallback: '/index.html',
        cleanupOutdatedCaches: true,
        clientsClaim: true,
      },
      manifest: {
        name: 'Upstride',
        short_name: 'Upstride',
        description: 'A drafting room for trousers.',
        start_url: '/',
        display: 'standalone',
        background_color: '#e9e6df',
        theme_color: '#e9e6df',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
    }),
  ],
  publicDir: 'app/public',
  build: {
    outDir: 'dist',
    target: 'es2022',
    sourcemap: false,
    // The first page names all that it is made of. What is opened later is fetched when the page is idle: lists of what it
    // is made of would only make the first view larger.
    modulePreload: {
      polyfill: false,
      resolveDependencies: (_, deps, { hostType }) =>
        hostType === 'html' ? deps : deps.filter((dep) => dep.endsWith('.css')),
    },
  },
  worker: { format: 'es' },
});
