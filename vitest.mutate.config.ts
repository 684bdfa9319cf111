import { matchesGlob } from 'node:path';
import { defaultServerConditions } from 'vite';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

const conditions = ['source', ...defaultServerConditions];

const tests = process.env.MUTATE_TESTS?.split(',') ?? [];

/** The tests in the order in which they are named: the quick ones see most, and the slow ones need not run then. */
class AsNamed extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const placeOf = ({ moduleId }: TestSpecification) => {
      const at = tests.findIndex((test) => matchesGlob(moduleId, `**/${test}`));
      return at < 0 ? tests.length : at;
    };
    return Promise.resolve([...files].sort((a, b) => placeOf(a) - placeOf(b)));
  }
}

/** The tests that `npm run mutate` holds against one room: one project, the first failure is enough. */
export default defineConfig({
  resolve: { conditions },
  ssr: { resolve: { conditions } },
  test: {
    include: tests,
    sequence: { sequencer: AsNamed },
    environment: 'node',
    setupFiles: ['./scripts/seed-properties.ts'],
    testTimeout: 120_000,
  },
});
