/* Everything that a fresh machine needs, with nothing but Node: packages, and for tests a browser. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));

/** Runs a command in the repository and stops with it when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.error) throw done.error;
  if (done.status !== 0) process.exit(done.status ?? 1);
}

/** Runs a package's own program by its file, so that no shell stands between. */
export function runTool(file, args, options = {}) {
  run(process.execPath, [join(root, 'node_modules', file), ...args], options);
}

function packagesDigest() {
  const hash = createHash('sha256');
  for (const file of ['package-lock.json', 'package.json'])
    hash.update(readFileSync(join(root, file)));
  return `${process.version} ${hash.digest('hex')}`;
}

/** Installs the packages of the lock file, unless exactly these are there already. */
export function installPackages() {
  const stamp = join(root, 'node_modules', '.rangoli-packages');
  const wanted = packagesDigest();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages…');
  run('npm', ['ci', '--no-audit', '--no-fund']);
  writeFileSync(stamp, wanted);
}

/** Where the browser for tests is. */
export const chromium = '/usr/bin/chromium';

/** Installs Debian's Chromium when it is missing and we may; the promise is kept once it is there. */
export async function installChromium() {
  if (existsSync(chromium)) return;
  if (process.getuid?.() !== 0) {
    console.error('The tests need Chromium. Install it: apt-get install chromium');
    process.exit(1);
  }
  console.log('Installing Chromium…');
  const install = 'apt-get update -qq && apt-get install -qq -y --no-install-recommends chromium';
  const [code] = await once(spawn('sh', ['-c', install], { stdio: 'inherit' }), 'exit');
  if (code !== 0) process.exit(code ?? 1);
}

/** Installs the packages and, beside them, the browser for tests. */
export async function installAll() {
  const browser = installChromium();
  installPackages();
  await browser;
}

/** Builds the core, the server, the client, and what the server shows of a box before the client has come. */
export function build() {
  runTool('typescript/bin/tsc', ['-b', 'core', 'server']);
  for (const config of ['vite.config.ts', 'vite.first-sight.config.ts'])
    runTool('vite/bin/vite.js', ['build', '--logLevel', 'warn', '--config', config], {
      cwd: join(root, 'web'),
    });
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) {
  await installAll();
  console.log('All is set up.');
}
