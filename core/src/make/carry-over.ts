import type { Job } from './job.ts';
import type { Progress } from './progress.ts';
import type { Step } from './step.ts';

/** How far along a piece is by a step, in the order of every job. */
const reachedAt = { cut: 0, flat: 1, folded: 2, glued: 3, closed: 4 } as const;
type Reached = (typeof reachedAt)[keyof typeof reachedAt];

/** What the first kind of step was called, and how far along it is. */
const firstKinds: Readonly<Record<string, Reached>> = {
  trim: reachedAt.cut,
  punch: reachedAt.flat,
  score: reachedAt.flat,
  slant: reachedAt.flat,
  slit: reachedAt.flat,
  taper: reachedAt.flat,
  snip: reachedAt.flat,
  fold: reachedAt.folded,
  glue: reachedAt.glued,
  join: reachedAt.closed,
  gift: reachedAt.closed,
  close: reachedAt.closed,
  fasten: reachedAt.folded,
};

/** A name as steps have it now: what is done, the piece, and a short word made out of what the step does. */
const nameNow =
  /^(?:cut(?: away| out| to shape)?|punch|(?:slanted )?score|mark|slit|round|taper|fold(?: up| corners)?|glue|tuck|thread|join|attach|put in|close) \S+ (?!\d+$)[0-9a-z]{4,7}(?: \(\d+\))?$/;

interface Fact {
  readonly piece: string;
  readonly reached: Reached;
  readonly count: number;
  /** Whether it counts boxes that are filled, with all of their pieces. */
  readonly isBox: boolean;
}

function factOf(id: string, count: number): Fact | undefined {
  const [kind = '', piece, ...rest] = id.split(' ');
  const reached = firstKinds[kind];
  if (piece === undefined || reached === undefined) return undefined;
  // A strip that was cut is no piece yet.
  if (reached === reachedAt.cut && rest.at(-1) !== 'piece') return undefined;
  return { piece, reached, count, isBox: kind === 'gift' };
}

function reachedBy(step: Step): Reached {
  if (step.kind === 'cut') return reachedAt.cut;
  // It had no other name before.
  if (step.kind === 'own') return reachedAt.closed;
  if (step.kind === 'flat') return reachedAt.flat;
  switch (step.operations[0].kind) {
    case 'fold':
      return reachedAt.folded;
    case 'tie':
    case 'tag':
    case 'spot':
    case 'put in':
    case 'join':
    case 'close':
      return reachedAt.closed;
    default:
      return reachedAt.glued;
  }
}

/**
 * Progress that was stored while steps had other names, told in the steps of now: a piece that has been
 * folded has been cut and scored, whatever those steps are called. Only what is certain counts as done. The
 * same progress comes back where no such name is in it.
 */
export function carryOver(job: Job, progress: Progress): Progress {
  const isOld = (id: string) =>
    !nameNow.test(id) && !job.steps.some((step) => step.id === id) && factOf(id, 0) !== undefined;
  const old = Object.entries(progress.done).filter(([id]) => isOld(id));
  if (old.length === 0) return progress;
  const facts = old.flatMap(([id, count]) => factOf(id, count) ?? []);
  const done = Object.fromEntries(Object.entries(progress.done).filter(([id]) => !isOld(id)));
  for (const step of job.steps) {
    const reached = reachedBy(step);
    const counts = facts.flatMap((fact) => {
      if (fact.isBox && fact.reached > reached)
        return [Math.floor((fact.count * step.copies) / progress.boxes)];
      if (fact.piece !== step.piece) return [];
      // There is one step to fold a piece, under either name.
      const isCertain =
        fact.reached > reached || (fact.reached === reached && reached === reachedAt.folded);
      return isCertain ? [fact.count] : [];
    });
    const count = Math.min(step.copies, Math.max(done[step.id] ?? 0, ...counts));
    if (count > 0) done[step.id] = count;
  }
  return { ...progress, done };
}
