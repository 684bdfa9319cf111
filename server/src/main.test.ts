import { spawn } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { newProject } from '@rangoli/core';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from './database/index.ts';
import { ProjectStore } from './projects/index.ts';

let folder: string;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'rangoli-main-'));
});

afterEach(() => {
  rmSync(folder, { recursive: true, force: true });
});

/** Starts a program of the server with these words, and what it said until its end; or until it says this. */
function run(
  program: string,
  words: readonly string[],
  until?: RegExp,
): Promise<{ code: number | null; said: string; complained: string; stop: () => void }> {
  const child = spawn(
    process.execPath,
    ['--conditions=source', '--import', 'tsx', resolve(import.meta.dirname, program), ...words],
    { stdio: ['ignore', 'pipe', 'pipe'] },
  );
  const heard = { said: '', complained: '' };
  return new Promise((ended) => {
    const end = (code: number | null) => {
      ended({ code, ...heard, stop: () => child.kill('SIGKILL') });
    };
    child.stdout.on('data', (chunk: Buffer) => {
      heard.said += chunk.toString();
      if (until?.test(heard.said) === true) end(null);
    });
    child.stderr.on('data', (chunk: Buffer) => {
      heard.complained += chunk.toString();
    });
    child.on('exit', end);
  });
}

async function databaseWith(file: string, names: readonly string[]): Promise<void> {
  const database = await openDatabase(file);
  const store = new ProjectStore(database);
  for (const name of names) await store.create({ ...newProject('inch'), name });
  await database.destroy();
}

describe('a start that can’t be', () => {
  const faults: readonly {
    readonly name: string;
    readonly make: (file: string) => Promise<readonly string[]> | readonly string[];
    readonly says: RegExp;
  }[] = [
    {
      name: 'a database of a newer version',
      make: async (file) => {
        const database = await openDatabase(file);
        await database('knex_migrations').insert({
          name: '999-later',
          batch: 9,
          migration_time: new Date(),
        });
        await database.destroy();
        return [];
      },
      says: /newer Rangoli/,
    },
    {
      name: 'a file that is no database',
      make: (file) => {
        writeFileSync(file, 'A gift list, and no database at all. '.repeat(200));
        return [];
      },
      says: /no Rangoli database/,
    },
    {
      name: 'a database that was cut short',
      make: async (file) => {
        await databaseWith(
          file,
          Array.from({ length: 40 }, (_, i) => `Box ${String(i)}`),
        );
        writeFileSync(file, readFileSync(file).subarray(0, 60_000));
        return [];
      },
      says: /damaged/,
    },
    {
      name: 'a passphrase that is for nobody',
      make: () => ['--new-passphrase'],
      says: /--new-passphrase goes with --share/,
    },
    { name: 'words that mean nothing', make: () => ['--colour', 'blue'], says: /Use: npm start/ },
    { name: 'a port that is none', make: () => ['--port', 'many'], says: /“many” is none/ },
    {
      name: 'a demo on somebody’s own boxes',
      make: async (file) => {
        await databaseWith(file, ['My own']);
        return ['--demo'];
      },
      says: /own boxes/,
    },
  ];

  it.each(faults)(
    'because of $name is told in a sentence, and leaves the file as it is',
    async ({ make, says }) => {
      const file = join(folder, 'boxes.sqlite');
      const words = await make(file);
      const before = fileBytes(file);
      const { code, complained } = await run('main.ts', [
        '--port',
        '0',
        '--database',
        file,
        ...words,
      ]);
      expect(complained).toMatch(says);
      expect(complained.trim().split('\n')).toHaveLength(1);
      expect(complained).not.toMatch(/ at .+:\d+/);
      expect(code).toBe(2);
      if (before) expect(fileBytes(file)?.equals(before)).toBe(true);
    },
  );

  it('because its port is in use is told in a sentence', async () => {
    const other = createServer();
    const port = await new Promise<number>((open) => {
      other.listen(0, '127.0.0.1', () => {
        const address = other.address();
        open(typeof address === 'object' && address ? address.port : 0);
      });
    });
    const file = join(folder, 'boxes.sqlite');
    const { code, complained } = await run('main.ts', ['--port', String(port), '--database', file]);
    other.close();
    expect(complained).toMatch(/in use/);
    expect(code).toBe(2);
  });
});

function fileBytes(file: string): Buffer | undefined {
  try {
    return readFileSync(file);
  } catch {
    return undefined;
  }
}

describe('a database in use', () => {
  async function started(file: string) {
    const running = await run('main.ts', ['--port', '0', '--database', file], /localhost:\d+/);
    const origin = /http:\/\/localhost:\d+/.exec(running.said)?.[0] ?? '';
    return { ...running, origin };
  }

  async function shelve(origin: string, name: string): Promise<void> {
    const response = await fetch(`${origin}/api/projects`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-rangoli': 'test' },
      body: JSON.stringify({ document: { ...newProject('inch'), name } }),
    });
    expect(response.status).toBe(201);
  }

  async function namesIn(file: string): Promise<readonly string[]> {
    const database = await openDatabase(file);
    const { projects } = await new ProjectStore(database).list({
      search: '',
      order: 'name',
      limit: 100,
    });
    await database.destroy();
    return projects.map(({ document }) => document.name).sort();
  }

  it('is copied whole by a backup, and after a while by copying its file alone', async () => {
    const file = join(folder, 'boxes.sqlite');
    const { origin, stop } = await started(file);
    await shelve(origin, 'Hand lens');
    const copy = join(folder, 'copy.sqlite');
    const { code, said } = await run('cli/backup.ts', [copy, '--database', file]);
    expect(said).toMatch(/^1 box and all tools are in/);
    expect(code).toBe(0);
    expect(await namesIn(copy)).toEqual(['Hand lens']);
    const again = await run('cli/backup.ts', [copy, '--database', file]);
    expect(again.complained).toMatch(/nothing is written over/);
    expect(again.code).toBe(2);
    await shelve(origin, 'Night tea tin');
    await new Promise((passed) => setTimeout(passed, 6500));
    const alone = join(folder, 'alone.sqlite');
    copyFileSync(file, alone);
    stop();
    expect(await namesIn(alone)).toEqual(['Hand lens', 'Night tea tin']);
  });

  it('that is taken away is noticed, and all that was in it is written back', async () => {
    const file = join(folder, 'boxes.sqlite');
    const { origin, stop } = await started(file);
    await shelve(origin, 'Hand lens');
    for (const part of ['', '-wal', '-shm']) rmSync(file + part, { force: true });
    await shelve(origin, 'Night tea tin');
    await new Promise((passed) => setTimeout(passed, 8000));
    await expect(fetch(`${origin}/api/health`)).rejects.toThrow();
    stop();
    expect(await namesIn(file)).toEqual(['Hand lens', 'Night tea tin']);
  });
});

describe('a start that shares', () => {
  it('prints the passphrase the first time and when another one is wanted, and never else', async () => {
    const file = join(folder, 'boxes.sqlite');
    const printed: (string | undefined)[] = [];
    for (const more of [[], [], ['--new-passphrase']]) {
      const words = ['--port', '0', '--database', file, '--share', ...more];
      const { said, stop } = await run('main.ts', words, /passphrase is.*\n/);
      stop();
      printed.push(/The passphrase is: (.+)/.exec(said)?.[1]);
    }
    const [first, then, another] = printed;
    expect(first).toMatch(/^[a-z]+( [a-z]+){4}$/);
    expect(then).toBeUndefined();
    expect(another).toMatch(/^[a-z]+( [a-z]+){4}$/);
    expect(another).not.toBe(first);
  });
});
