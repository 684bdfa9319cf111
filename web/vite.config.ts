import vue from '@vitejs/plugin-vue';
import { defaultClientConditions, defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { themeAsCss } from './theme/theme-as-css.ts';

export default defineConfig({
  plugins: [
    themeAsCss(),
    vue(),
    // Once here, and not by the server for every visit.
    compression({ include: /\.(js|css|html|svg)$/ }),
    VitePWA({
      // Registered once the page has loaded what it needs itself.
      injectRegister: null,
      registerType: 'autoUpdate',
      includeManifestIcons: false,
      manifest: {
        name: 'Rangoli',
        short_name: 'Rangoli',
        description: 'Sizes a paper box round a gift and says what to cut and where to score.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f5f8f5',
        theme_color: '#14302d',
        icons: [{ src: '/rangoli.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        maximumFileSizeToCacheInBytes: 6_000_000,
        // A page comes from the server where that answers, so that it is never an old one.
        navigateFallback: null,
        directoryIndex: null,
        runtimeCaching: [
          {
            urlPattern: ({ request }) => request.mode === 'navigate',
            handler: async ({ request }) => {
              try {
                return await fetch(request.url, { signal: AbortSignal.timeout(3000) });
              } catch {
                const kept = await caches.match('/index.html', { ignoreSearch: true });
                return kept ?? Response.error();
              }
            },
          },
        ],
      },
    }),
  ],
  resolve: { conditions: ['source', ...defaultClientConditions] },
  server: { port: 4181, proxy: { '/api': `http://localhost:${process.env.PORT ?? '4180'}` } },
  // The page loads the planner as a module, where it can't have a worker.
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    reportCompressedSize: false,
    // What all views share is asked for at once; the few small files of a view are named in it.
    modulePreload: {
      resolveDependencies: (_, files) => files.filter((file) => /\/(shared|drawing)-/.test(file)),
    },
    // One style sheet, so that no view waits for its own.
    cssCodeSplit: false,
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            // What begins a page is no part of what all views share: it runs before that has come.
            {
              name: 'begin',
              test: /comlink|preload-helper|node_modules\/idb|src\/(no-eval|views|addresses|first-sight\/leave-first-sight|api\/(ahead|shelf-paths)|keeping\/browser-store|planner\/(planner|planner-worker|load-tasks|tasks-in-page))\.ts/,
              priority: 2,
            },
            // What most views use is one file and not forty, and so is what draws pieces and boxes.
            {
              name: 'drawing',
              test: /(web\/src\/(parts\/(?!Count|Choice)|fold|prints|dress)|core\/src\/(gift|piece))/,
              minShareCount: 3,
            },
            {
              name: 'shared',
              // Dialogs come when they are opened.
              test: (id: string) => !/primevue\/(dialog|focustrap)\/|window(max|min)imize/.test(id),
              minShareCount: 6,
              priority: 1,
            },
          ],
        },
      },
    },
  },
});
