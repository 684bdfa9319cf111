/** A state with what came before and after it. */
export interface History<State> {
  readonly past: readonly State[];
  readonly present: State;
  readonly future: readonly State[];
  /** What the last change was to, and when: changes to one thing in quick succession are one step. */
  readonly last?: { readonly what: string; readonly at: number };
}

/** Steps that can be taken back. */
const depth = 200;
/** Milliseconds within which changes to the same thing belong together, as while a number is dragged. */
const together = 900;

export function startHistory<State>(present: State): History<State> {
  return { past: [], present, future: [] };
}

/** Takes a new state; `what` names the thing changed. */
export function record<State>(
  history: History<State>,
  present: State,
  what: string,
  at: number,
): History<State> {
  const { last } = history;
  const merges = last?.what === what && at - last.at < together;
  return {
    past: merges ? history.past : [...history.past, history.present].slice(-depth),
    present,
    future: [],
    last: { what, at },
  };
}

/** One step back; the same history when there is none. */
export function stepBack<State>(history: History<State>): History<State> {
  const present = history.past.at(-1);
  if (present === undefined) return history;
  return {
    past: history.past.slice(0, -1),
    present,
    future: [history.present, ...history.future],
  };
}

/** One step forward again; the same history when there is none. */
export function stepForward<State>(history: History<State>): History<State> {
  const [present, ...future] = history.future;
  if (present === undefined) return history;
  return { past: [...history.past, history.present], present, future };
}
