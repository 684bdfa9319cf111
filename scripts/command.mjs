/* `command.mjs NAME …`: runs a command of the server, `plan` or `backup`: builds the core and the server once, quietly, and hands over. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { spawnSync } from 'node:child_process';
import { root } from './setup.mjs';

const [name = 'plan', ...rest] = process.argv.slice(2);
const entry = join(root, `server/dist/cli/${name}.js`);
if (!existsSync(join(root, 'node_modules/.bin/tsc')))
  spawnSync('npm', ['ci', '--no-audit', '--no-fund'], { cwd: root, stdio: ['ignore', 2, 2] });
const built = spawnSync(
  process.execPath,
  [join(root, 'node_modules/typescript/bin/tsc'), '-b', 'core', 'server'],
  { cwd: root, stdio: ['ignore', 2, 2] },
);
if (built.status !== 0 && !existsSync(entry)) process.exit(1);
const done = spawnSync(process.execPath, [entry, ...rest], { stdio: 'inherit' });
process.exit(done.status ?? 1);
