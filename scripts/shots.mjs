/* Makes docs/screenshots anew from the demo data. */
import { join } from 'node:path';
import { build, installAll, root, run } from './setup.mjs';

await installAll();
build();
run(process.execPath, ['--import', 'tsx', join(root, 'e2e/shots/take.ts')]);
