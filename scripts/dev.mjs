/* The server on its sources, restarted on change, and the client with hot reload at port 4181. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { installPackages, root } from './setup.mjs';

installPackages();
const children = [
  spawn(
    process.execPath,
    [
      '--watch',
      '--conditions=source',
      '--import',
      'tsx',
      join(root, 'server/src/main.ts'),
      '--demo',
    ],
    { cwd: root, stdio: 'inherit' },
  ),
  spawn(process.execPath, [join(root, 'node_modules/vite/bin/vite.js')], {
    cwd: join(root, 'web'),
    stdio: 'inherit',
  }),
];
function stop() {
  for (const child of children) child.kill('SIGTERM');
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
for (const child of children) child.on('exit', stop);
