import { slackBeyond } from '../gaps/index.ts';
import {
  meansOf,
  solveMisfits,
  type StagedSolver,
  type Chain,
  type ChainMarks,
  type Lean,
  type MarksProblem,
  type MarksSolution,
  type MarkTools,
  type Patience,
  type ScoreReading,
  type Section,
  type Span,
} from '../marks/index.ts';
import {
  drawFrame,
  type PieceTemplate,
  type Refusal,
  type SettledBox,
  type SettledFit,
  type SizeOf,
  type StyleFit,
  type StyleFrame,
  cutOutOf,
} from '../forms/index.ts';
import {
  hair,
  half,
  largest,
  minus,
  plus,
  smallest,
  times,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import { cutSizeOf, gridPositions, type GridAxis, type Piece } from '../piece/index.ts';
import type { MadeWay } from '../request/index.ts';
import type { Kit } from '../tools/index.ts';
import { cutDown } from './cut-down.ts';
import { depthsOf } from './figured-depths.ts';
import { largestOn, markTools } from './mark-tools.ts';
import type { Plan } from './plan.ts';

/** What decides the marks beside the style itself. */
export interface SolverBrief {
  readonly papers: Papers;
  readonly kit: Kit;
  readonly lean: Lean;
  readonly made: readonly MadeWay[];
}

type Way = MadeWay['way'];
const ways: readonly Way[] = ['across', 'down'];

function madeOf(made: readonly MadeWay[], template: PieceTemplate, way: Way) {
  return made.find((each) => each.piece === template.id && each.way === way);
}

function chainOf(template: PieceTemplate, way: Way, made: readonly MadeWay[]): Chain {
  const cut = madeOf(made, template, way)?.cut;
  const id = `${template.id} ${way}`;
  return { id, sections: template[way], ...(cut !== undefined && { cut }) };
}

/** Sections up to each score that is made already, and those from the last one to the edge. */
function spansOf(template: PieceTemplate, way: Way, made: readonly MadeWay[]): readonly Span[] {
  const here = madeOf(made, template, way);
  if (!here) return [];
  const sections = template[way];
  const marks = [
    { mark: 0, at: zero },
    ...here.marks.filter(({ mark }) => mark < sections.length).sort((a, b) => a.mark - b.mark),
    { mark: sections.length, at: here.cut },
  ];
  return marks.slice(1).map(({ mark, at }, i): Span => {
    const before = marks[i] ?? { mark: 0, at: zero };
    return { sections: sections.slice(before.mark, mark), is: minus(at, before.at) };
  });
}

/** How much larger than wanted a section that came out so may be: a wider seam reaches past its panel. */
const mostOver = 1.5;

/** A section that stands alone between two marks is settled, if it came out within reason. */
function settle(sections: readonly Section[], spans: readonly Span[]): readonly Section[] {
  const alone = new Map(
    spans.flatMap(({ sections: [id, ...more], is }) =>
      id !== undefined && more.length === 0 ? [[id, is] as const] : [],
    ),
  );
  return sections.map((section) => {
    const is = alone.get(section.id);
    const most = largest(section.most, times(section.target, mostOver));
    return is !== undefined && is >= section.least && is <= most
      ? { ...section, least: is, most: is }
      : section;
  });
}

/**
 * What only has to hold a shape is chosen for whatever comes, and cut down to what came. On a piece that is cut
 * already it may be as small as that: whether it holds what comes is seen at the end.
 */
function relaxRough({ sections, rough = [], pieces }: StyleFrame, made: readonly MadeWay[]) {
  const cut = pieces.flatMap((piece) =>
    ways.flatMap((way) => (madeOf(made, piece, way) ? piece[way] : [])),
  );
  return sections.map((section) =>
    cut.includes(section.id) && rough.some((each) => each.section === section.id)
      ? { ...section, least: half(section.least) }
      : section,
  );
}

/** The pair that a fit belongs to, by name. */
export function pairName({
  kind,
  outer,
  inner,
}: Pick<StyleFit, 'kind' | 'outer' | 'inner'>): string {
  return `${kind}, ${outer} over ${inner}`;
}

function fitName(fit: StyleFit): string {
  return `${pairName(fit)}, ${fit.direction}`;
}

/** So much of the hair that a gap may be out of range is looked for; the rest is left to what leans that way. */
const slip = times(hair, 1 / 10);

/** A style's frame as a marks problem: its pieces are chains, its papers' sheets are limits. */
export function problemOf(frame: StyleFrame, brief: SolverBrief): MarksProblem {
  const { papers, kit, lean, made } = brief;
  const spans = frame.pieces.flatMap((piece) => ways.flatMap((way) => spansOf(piece, way, made)));
  // A section that is short by a hair is short to no hand.
  const sections = relaxRough(frame, made).map((section) => ({
    ...section,
    least: minus(section.least, hair),
  }));
  return {
    sections: settle(sections, spans),
    chains: frame.pieces.flatMap((piece) => ways.map((way) => chainOf(piece, way, made))),
    spans,
    fits: frame.fits.map((fit) => ({
      id: fitName(fit),
      // One direction that holds keeps a lid on sideways; its height is felt for itself.
      group: `${pairName(fit)}${fit.direction === 'high' ? ' in height' : ''}`,
      outer: fit.outerSection,
      inner: fit.innerSection,
      innerTimes: fit.innerTimes ?? 1,
      layers: times(fit.layers, 1 / (fit.opens ?? 1)),
      gap: {
        least: times(minus(fit.gap.least, slip), 1 / (fit.opens ?? 1)),
        target: times(fit.gap.target, 1 / (fit.opens ?? 1)),
        most: times(plus(fit.gap.most, slip), 1 / (fit.opens ?? 1)),
      },
      slack: times(slackBeyond, 1 / (fit.opens ?? 1)),
    })),
    smaller: frame.smaller.map(({ by, ...pair }) => ({ ...pair, by: minus(by, hair) })),
    limits: frame.pieces.flatMap((piece) => {
      const { sheet } = paperFor(papers, piece.paper);
      const chains = { across: `${piece.id} across`, down: `${piece.id} down` };
      const { width, height } = sheet;
      const largest = largestOn(piece.punchBoard, kit);
      return [
        { ...chains, width, height, mayTurn: true },
        ...(largest === undefined
          ? []
          : [{ ...chains, width: largest, height: largest, mayTurn: false }]),
      ];
    }),
    tools: markTools(frame, kit),
    lean,
  };
}

/** A frame whose every length is chosen. */
export interface SolvedFrame {
  readonly frame: StyleFrame;
  readonly solution: MarksSolution;
  readonly fits: readonly SettledFit[];
}

/** A piece with its marks in both directions. */
export interface MarkedPiece {
  readonly piece: Piece;
  readonly across: ChainMarks;
  readonly down: ChainMarks;
}

/** A box whose pieces are drawn. */
export interface DrawnBox extends SettledBox {
  readonly depths: Plan['depths'];
  readonly pieces: readonly MarkedPiece[];
}

function chainMarks(solution: MarksSolution, id: string): ChainMarks {
  const found = solution.chains.find((chain) => chain.id === id);
  if (!found) throw new Error(`No marks were found for ${id}`);
  return found;
}

/** The marks across a piece, with those of rows that are scored elsewhere than the rest. */
function acrossMarks(
  solution: MarksSolution,
  { id, across: sections, alsoAcross }: PieceTemplate,
  size: SizeOf,
  tools: MarkTools,
): ChainMarks {
  const across = chainMarks(solution, `${id} across`);
  if (!alsoAcross) return across;
  const more = alsoAcross(size).map((position, i): ScoreReading => {
    const fromEnd = minus(across.cut, position);
    const reading = smallest(position, fromEnd);
    return {
      index: sections.length + i,
      position,
      from: reading === position ? 'start' : 'end',
      reading,
      onGroove: meansOf(reading, tools) !== 'none',
      ...(meansOf(reading, tools) === 'shim' && { shimmed: true }),
    };
  });
  const scores = [...across.scores, ...more].sort((a, b) => a.position - b.position);
  return { ...across, scores };
}

/** The cut size that a solution gives a piece. */
export function cutSizeIn(solution: MarksSolution, piece: string) {
  return {
    width: chainMarks(solution, `${piece} across`).cut,
    height: chainMarks(solution, `${piece} down`).cut,
  };
}

export type BoxAnswer =
  { readonly ok: true; readonly box: DrawnBox } | { readonly ok: false; readonly refusal: Refusal };

/** Draws the pieces of a frame at the lengths that were chosen, with what it wears. */
export function drawBox({ frame, solution }: SolvedFrame, kit: Kit): BoxAnswer {
  const size: SizeOf = (id) => {
    const found = solution.sections.get(id);
    if (found === undefined) throw new Error(`The solver left out ${id}`);
    return found;
  };
  const tools = markTools(frame, kit);
  const drawn = drawFrame(frame, size);
  const answer = frame.wears?.(drawn) ?? { ok: true, worn: undefined };
  if (!answer.ok) return answer;
  const { worn } = answer;
  const { clearInside, assembly } = drawn;
  const { pieces } = cutOutOf(drawn, worn?.cutouts ?? []);
  return {
    ok: true,
    box: {
      clearInside,
      assembly: worn
        ? {
            ...assembly,
            parts: [...assembly.parts, ...worn.parts],
            stacks: [...assembly.stacks, ...worn.stacks],
            ...(worn.spots && worn.spots.length > 0 && { spots: [...worn.spots] }),
            ...(worn.tags && worn.tags.length > 0 && { tags: [...worn.tags] }),
            ...(worn.ribbons && worn.ribbons.length > 0 && { ribbons: [...worn.ribbons] }),
          }
        : assembly,
      depths: depthsOf(frame, size, kit),
      pieces: [
        ...frame.pieces.flatMap((template, i): readonly MarkedPiece[] => {
          const piece = pieces[i];
          if (!piece) return [];
          const across = acrossMarks(solution, template, size, tools);
          return [{ piece, across, down: chainMarks(solution, `${template.id} down`) }];
        }),
        ...(worn?.pieces ?? []).map(markedAsDrawn),
      ],
    },
  };
}

/** A piece whose lines were put where they are when it was drawn. */
function markedAsDrawn(piece: Piece): MarkedPiece {
  const { columns, rows, lines } = piece.grid;
  const { width, height } = cutSizeOf(piece.grid);
  const scoresOn = (axis: GridAxis, sections: readonly Length[]) =>
    gridPositions(sections).flatMap((position, index): readonly ScoreReading[] => {
      const isScored = lines.some(
        (line) =>
          line.axis === axis &&
          line.index === index &&
          line.spans.some(({ make }) => make === 'score'),
      );
      // How it is read is found with the others’.
      return isScored
        ? [{ index, position, from: 'start', reading: position, onGroove: true }]
        : [];
    });
  return {
    piece,
    across: { id: `${piece.id} across`, cut: width, scores: scoresOn('column', columns) },
    down: { id: `${piece.id} down`, cut: height, scores: scoresOn('row', rows) },
  };
}

/** A frame whose lengths are chosen as far as they are asked for. */
export interface FrameInStages {
  /** Chosen so that everything holds; undefined where that can't be. */
  readonly held: () => SolvedFrame | undefined;
  /** That, or else as near to it as can be; undefined where nothing fits its sheets. */
  readonly best: () => SolvedFrame | undefined;
}

/** Chooses every length of a frame. */
export function solveFrame(
  frame: StyleFrame,
  brief: SolverBrief,
  solver: StagedSolver,
): FrameInStages {
  const problem = problemOf(frame, brief);
  const { held, best } = solver.solve(problem);
  return {
    held: () => withFits(frame, problem, held()),
    best: () => withFits(frame, problem, best()),
  };
}

/** Chooses again what doesn't hold in a solved frame, for finer tools or the other lean. */
export function solveFrameAgain(
  { frame, solution }: SolvedFrame,
  brief: SolverBrief,
  patience: Patience,
): SolvedFrame | undefined {
  const problem = problemOf(frame, brief);
  return withFits(frame, problem, solveMisfits(problem, solution, patience));
}

function withFits(
  frame: StyleFrame,
  problem: MarksProblem,
  chosen: MarksSolution | undefined,
): SolvedFrame | undefined {
  if (!chosen) return undefined;
  const rough = frame.rough ?? [];
  const solution = cutDown(chosen, problem, rough);
  const size: SizeOf = (id) => solution.sections.get(id) ?? zero;
  if (rough.some(({ section, holds }) => size(section) < minus(holds(size), hair)))
    return undefined;
  const fits = [
    ...frame.fits.map((fit): SettledFit => {
      const { outerSection, innerSection, innerTimes = 1, opens = 1, layers } = fit;
      const came = times(solution.gaps.get(fitName(fit)) ?? zero, opens);
      const [outer, inner] = [size(outerSection), size(innerSection)];
      const isPlain = innerTimes === 1 && opens === 1;
      return { ...fit, came, ...(isPlain && { rule: { outer, inner, layers } }) };
    }),
    ...(frame.settledFits?.(size) ?? []),
  ];
  return { frame, solution, fits };
}
