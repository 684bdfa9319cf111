/**
 * What a change was to, when, and during which press of a finger or a mouse button: changes to one thing in quick
 * succession are one step, and so are all that come of one press, however long it is held.
 */
interface Moment {
  readonly what: string;
  readonly at: number;
  readonly press?: number | undefined;
}

/** A state with what came before and after it. */
export interface History<State> {
  readonly past: readonly State[];
  readonly present: State;
  readonly future: readonly State[];
  readonly last?: Moment;
}

/** Steps that can be taken back. */
const depth = 200;
/** Milliseconds within which changes to the same thing belong together, as while an arrow key is pressed on and on. */
const together = 900;

export function startHistory<State>(present: State): History<State> {
  return { past: [], present, future: [] };
}

/** Takes a new state. */
export function record<State>(
  history: History<State>,
  present: State,
  now: Moment,
): History<State> {
  const { last } = history;
  const isHeld = now.press !== undefined && now.press === last?.press;
  const merges = last?.what === now.what && (isHeld || now.at - last.at < together);
  return {
    past: merges ? history.past : [...history.past, history.present].slice(-depth),
    present,
    future: [],
    last: now,
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
