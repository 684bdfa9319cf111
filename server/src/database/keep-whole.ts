import { existsSync, statSync } from 'node:fs';
import type { Database } from './open.ts';

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
 * all that was in it has been written back to its place, where that is free. Ends with the function that is
 * given back.
 */
export function keepWhole(
  database: Database,
  { file, onLost }: { readonly file: string; readonly onLost: (isBack: boolean) => void },
): () => void {
  const opened = inodeOf(file);
  const look = async (): Promise<void> => {
    if (inodeOf(file) !== opened) {
      clearInterval(timer);
      const isFree = !existsSync(file);
      if (isFree) await database.raw('VACUUM INTO ?', [file]);
      onLost(isFree);
      return;
    }
    const log = `${file}-wal`;
    if (existsSync(log) && statSync(log).size > 0)
      await database.raw('PRAGMA wal_checkpoint(TRUNCATE)');
  };
  const timer = setInterval(() => {
    look().catch((error: unknown) => {
      console.error(error);
    });
  }, between);
  timer.unref();
  return () => {
    clearInterval(timer);
  };
}
