/* The figures that are promised, measured on this machine. */
import { join } from 'node:path';
import { build, installAll, root, run } from './setup.mjs';

await installAll();
build();
for (const file of [
  'core/bench/plan.ts',
  'core/bench/words.ts',
  'core/bench/folding.ts',
  'core/bench/dressing.ts',
  'e2e/bench/cold-start.ts',
  'e2e/bench/first-cards.ts',
  'e2e/bench/slider.ts',
  'e2e/bench/server.ts',
])
  run(process.execPath, ['--import', 'tsx', join(root, file)], {
    env: { ...process.env, NODE_ENV: 'production' },
  });
