import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { hostname, tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const main = resolve(import.meta.dirname, '../../server/dist/main.js');

/** The built server as a process of its own, on a database of its own, to be stopped and started again. */
export class RangoliServer {
  readonly #folder = mkdtempSync(join(tmpdir(), 'rangoli-e2e-'));
  readonly #flags: readonly string[];
  #process: ChildProcess | undefined;
  #port = 0;
  #said = '';

  constructor(...flags: readonly string[]) {
    this.#flags = flags;
  }

  get origin(): string {
    return `http://localhost:${this.#port}`;
  }

  /** Where another device of the home network finds it. */
  get originAtHome(): string {
    return `http://${hostname().toLowerCase()}:${this.#port}`;
  }

  /** The passphrase that it has printed; empty where it has printed none. */
  get passphrase(): string {
    return /The passphrase is: (.+)/.exec(this.#said)?.[1] ?? '';
  }

  /** Starts it; the second time at the same address. */
  async start(): Promise<void> {
    const child = spawn(
      process.execPath,
      [
        main,
        '--port',
        `${this.#port}`,
        '--database',
        join(this.#folder, 'boxes.sqlite'),
        ...this.#flags,
      ],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    );
    this.#process = child;
    // A run that breaks off must not leave its server behind.
    const endWithUs = () => child.kill();
    process.once('exit', endWithUs);
    child.once('exit', () => process.off('exit', endWithUs));
    this.#port = await new Promise<number>((found, failed) => {
      child.stdout.on('data', (chunk: Buffer) => {
        this.#said += chunk.toString();
        const port = /localhost:(\d+)/.exec(chunk.toString())?.[1];
        if (port !== undefined) found(Number(port));
      });
      child.on('exit', (code) => {
        failed(new Error(`The server stopped with ${code ?? 'a signal'}`));
      });
    });
  }

  /** Stops it as an operator would, and waits until it has closed; its exit code. */
  async stop(): Promise<number | null> {
    const child = this.#process;
    if (child?.exitCode !== null) return child?.exitCode ?? null;
    const ended = new Promise<number | null>((resolveEnd) =>
      child.on('exit', (code) => {
        resolveEnd(code);
      }),
    );
    child.kill('SIGTERM');
    return ended;
  }

  /** Ends it as a power cut does, and waits until it is gone. */
  async kill(): Promise<void> {
    const child = this.#process;
    if (child?.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolveEnd) => child.on('exit', resolveEnd));
    child.kill('SIGKILL');
    await ended;
  }

  async dispose(): Promise<void> {
    await this.stop();
    rmSync(this.#folder, { recursive: true, force: true });
  }
}
