import type { Work } from './job.ts';

/** Seconds that one of each thing takes a practised hand. */
const takes = {
  cut: 15,
  lay: 4,
  score: 5,
  ruled: 14,
  punch: 8,
  slit: 4,
  taper: 5,
  snip: 7,
  fold: 3,
  glue: 14,
  join: 20,
  gift: 8,
  close: 6,
  fasten: 40,
} as const;

/** About how long a step takes for one piece, in seconds. */
export function usualSeconds(work: Work): number {
  switch (work.kind) {
    case 'trim':
      return takes.cut;
    case 'punch':
      return (
        takes.lay +
        work.sides * (work.setting.kind === 'mark' ? 1 : work.setting.lines) * takes.punch
      );
    case 'score':
      return takes.lay + work.passes.length * (work.tool === 'ruler' ? takes.ruled : takes.score);
    case 'slant':
      return work.lines.length * takes.ruled;
    case 'slit':
      return work.slits.length * takes.slit;
    case 'taper':
      return work.places.length * takes.taper;
    case 'snip':
      return work.places.length * takes.snip;
    case 'fold':
      return (work.inwards + work.outwards) * takes.fold;
    case 'glue':
      return work.count * takes.glue;
    case 'fasten':
      return takes.fasten;
    case 'close':
      return work.count * takes.close;
    case 'join':
      return takes.join;
    case 'gift':
      return takes.gift;
  }
}
