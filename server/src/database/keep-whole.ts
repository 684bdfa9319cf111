import { existsSync, statSync } from 'node:fs';
import type { Database } from './open.ts';

/** What became of a file that is not the one any more that was opened. */
export type Loss =
  /** It was taken away, and all that was in it stands in its place again. */
  | 'written back'
  /** Another file is in its place, which is left as it is. */
  | 'replaced'
  /** It was taken away, and could not be written back. */
  | 'gone';

/** Milliseconds between looks after the file. */
const between = 5000;

function inodeOf(file: string): number | undefined {
  try {
    return statSync(file).ino;
  } catch {
    return undefined;
  }
}

/**
 * Looks after a database file while it is open: what was written goes into the main file at quiet times, so
 * that a copy of it alone is whole; and a file that is taken away is noticed. `onLost` is called once, after
 * it was tried to write all that was in it back to its place, where that is free. `onFault` hears why that or
 * the looking after failed, once until it goes well again. Ends with the function that is given back.
 */
export function keepWhole(
  database: Database,
  {
    file,
    onLost,
    onFault,
  }: {
    readonly file: string;
    readonly onLost: (loss: Loss) => void;
    readonly onFault: (error: unknown) => void;
  },
): () => void {
  const opened = inodeOf(file);
  const writeBack = async (): Promise<Loss> => {
    try {
      await database.raw('VACUUM INTO ?', [file]);
      return 'written back';
    } catch (error) {
      onFault(error);
      return 'gone';
    }
  };
  const look = async (): Promise<void> => {
    if (inodeOf(file) !== opened) {
      clearInterval(timer);
      onLost(existsSync(file) ? 'replaced' : await writeBack());
      return;
    }
    const log = `${file}-wal`;
    if (existsSync(log) && statSync(log).size > 0)
      await database.raw('PRAGMA wal_checkpoint(TRUNCATE)');
  };
  let isWell = true;
  const timer = setInterval(() => {
    look().then(
      () => {
        isWell = true;
      },
      (error: unknown) => {
        if (isWell) onFault(error);
        isWell = false;
      },
    );
  }, between);
  timer.unref();
  return () => {
    clearInterval(timer);
  };
}
