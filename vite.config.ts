import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { TOKENS, tokenSheet } from './app/shared/tokens.js';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    // The colours stand in the page itself: they are there before any script and any stylesheet.
    { name: 'tokens', transformIndexHtml: () => [{ tag: 'style', children: tokenSheet(), injectTo: 'head' }] },
    // The fonts come with the first script, so that no word is set twice.
    {
      name: 'fonts-first',
      transformIndexHtml: {
        order: 'post',
        handler: (_, { bundle = {} }) =>
          Object.keys(bundle)
            .filter((file) => /latin-(400|600)-normal.*\.woff2$/.test(file))
            .map((file) => ({
              tag: 'link',
              attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: true, href: `/${file}` },
              injectTo: 'head' as const,
            })),
      },
    },
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
        background_color: TOKENS.light.ground,
        theme_color: TOKENS.light.ground,
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
