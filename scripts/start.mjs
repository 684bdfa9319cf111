/* Sets everything up and opens Rangoli: with the demo shelf where it is started with --demo, else with the maker's own. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build, installPackages, root } from './setup.mjs';

installPackages();
build();
console.log('\nCtrl C closes Rangoli.\n');
const server = spawn(
  process.execPath,
  [join(root, 'server/dist/main.js'), ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
