/* Sets everything up and opens Rangoli with the demo shelf. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build, installPackages, root } from './setup.mjs';

installPackages();
build();
const port = process.env.PORT ?? '4180';
console.log(`\nRangoli opens at http://localhost:${port} (Ctrl C closes it)\n`);
const server = spawn(
  process.execPath,
  [join(root, 'server/dist/main.js'), '--demo', '--port', port, ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
