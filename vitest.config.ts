import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

const source = { ssr: { resolve: { conditions: ['source', 'node', 'import', 'default'] } } };

export default defineConfig({
  test: {
    projects: [
      {
        ...source,
        test: { name: 'core', include: ['core/src/**/*.test.ts'], environment: 'node' },
      },
      {
        ...source,
        test: { name: 'server', include: ['server/src/**/*.test.ts'], environment: 'node' },
      },
      {
        ...source,
        plugins: [vue()],
        resolve: { conditions: ['source', 'browser', 'import', 'default'] },
        test: { name: 'web', include: ['web/src/**/*.test.ts'], environment: 'happy-dom' },
      },
    ],
  },
});
