import vue from '@vitejs/plugin-vue';
import { defaultClientConditions, defaultServerConditions } from 'vite';
import { defineConfig } from 'vitest/config';

/** Workspaces import one another's TypeScript, not what was built. */
const source = {
  resolve: { conditions: ['source', ...defaultServerConditions] },
  ssr: { resolve: { conditions: ['source', ...defaultServerConditions] } },
};

const seeded = ['./scripts/seed-properties.ts'];

/** Milliseconds for a test: properties are swept over hundreds of boxes, on whatever machine there is. */
const patience = 120_000;

export default defineConfig({
  test: {
    projects: [
      {
        ...source,
        test: {
          name: 'core',
          include: ['core/{src,docs}/**/*.test.ts'],
          environment: 'node',
          setupFiles: seeded,
          testTimeout: patience,
        },
      },
      {
        ...source,
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          environment: 'node',
          setupFiles: seeded,
          testTimeout: patience,
        },
      },
      {
        // Files of the site are not there to be imported.
        plugins: [vue({ template: { transformAssetUrls: false } })],
        resolve: { conditions: ['source', ...defaultClientConditions] },
        // What is drawn on the server is tested as Node loads it.
        ssr: source.ssr,
        test: {
          name: 'web',
          include: ['web/src/**/*.test.ts'],
          environment: 'happy-dom',
          setupFiles: seeded,
          testTimeout: patience,
        },
      },
    ],
  },
});
