/* Makes docs/screenshots anew from the demo data. */
import { join } from 'node:path';
import { build, installChromium, installPackages, root, run } from './setup.mjs';

installPackages();
installChromium();
build();
run(process.execPath, ['--import', 'tsx', join(root, 'e2e/shots/take.ts')]);
