import node from '@astrojs/node';
import react from '@astrojs/react';
import AstroPWA from '@vite-pwa/astro';
import { defineConfig } from 'astro/config';

// What places a list or a hint beside its field is not needed by what merely scrolls, and no page is without React.
const CHUNKS = [
  ['react', /\/node_modules\/(react|react-dom|scheduler)\//],
  ['floating', /\/@floating-ui\//],
];
const manualChunks = (id) => CHUNKS.find(([, names]) => names.test(id))?.[0];

export default defineConfig({
  output: 'static',
  adapter: node({ mode: 'middleware' }),
  security: { checkOrigin: false },
  trailingSlash: 'always',
  build: { assetsInlineLimit: 0, inlineStylesheets: 'never' },
  devToolbar: { enabled: false },
  telemetry: false,
  integrations: [
    react(),
    AstroPWA({
      registerType: 'prompt',
      experimental: { directoryAndTrailingSlashHandler: true },
      injectRegister: false,
      manifest: {
        name: 'Yendral',
        short_name: 'Yendral',
        description: 'Inspection of cable entries in hazardous areas',
        theme_color: '#EFECE3',
        background_color: '#EFECE3',
        display: 'standalone',
        start_url: '/',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{html,js,css,woff2,svg}'],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: null,
        ignoreURLParametersMatching: [/.*/],
        directoryIndex: 'index.html',
        cleanupOutdatedCaches: true,
        clientsClaim: true,
      },
    }),
  ],
  vite: {
    // Sixty small parts of a page take longer to fetch than to run.
    build: {
      assetsInlineLimit: 0,
      rollupOptions: {
        output: { experimentalMinChunkSize: 1_000, manualChunks },
      },
    },
    // Licences stand in docs/packages.md and with the packages.
    esbuild: { legalComments: 'none' },
    ssr: { external: ['better-sqlite3', 'sharp'] },
  },
});
