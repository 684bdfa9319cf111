import { defaultServerConditions } from 'vite';
import { defineConfig } from 'vitest/config';

const conditions = ['source', ...defaultServerConditions];

/** The tests that `npm run mutate` holds against one room: one project, the first failure is enough. */
export default defineConfig({
  resolve: { conditions },
  ssr: { resolve: { conditions } },
  test: {
    include: process.env.MUTATE_TESTS?.split(',') ?? [],
    environment: 'node',
    setupFiles: ['./scripts/seed-properties.ts'],
    testTimeout: 120_000,
  },
});
