const waiting = new Set<() => void>();
let isRunning = false;

function next(): void {
  const [first] = waiting;
  isRunning = first !== undefined;
  if (!first) return;
  waiting.delete(first);
  first();
  requestAnimationFrame(next);
}

/**
 * Does what takes its time when its turn comes, one a frame, so that whoever looks sees the first of it at once.
 * The function that is given back takes it out of the row.
 */
export function inTurn(action: () => void): () => void {
  waiting.add(action);
  if (!isRunning) {
    isRunning = true;
    requestAnimationFrame(next);
  }
  return () => waiting.delete(action);
}
