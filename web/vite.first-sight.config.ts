import vue from '@vitejs/plugin-vue';
import { defaultServerConditions, defineConfig } from 'vite';

/** What the server shows of a box before the page’s scripts have come, as one script for Node. */
export default defineConfig({
  plugins: [vue()],
  define: { 'process.env.NODE_ENV': '"production"' },
  resolve: { conditions: ['source', ...defaultServerConditions] },
  ssr: { noExternal: true, resolve: { conditions: ['source', ...defaultServerConditions] } },
  build: {
    ssr: 'src/first-sight/render-first-sight.ts',
    outDir: 'dist-server',
    copyPublicDir: false,
    target: 'node20',
    rolldownOptions: { output: { codeSplitting: false } },
  },
});
