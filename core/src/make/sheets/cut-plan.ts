import { isOnGrid, minus, plus, type Length } from '../../length/index.ts';
import { hasWayUp, type Paper } from '../../paper/index.ts';
import { cuttingMeans, type Kit } from '../../tools/index.ts';
import type { CutCaution, CutGives, CutLeaves, CutOperation, SheetCut } from '../operations/cut.ts';
import type { CutTree, Region } from './cut-tree.ts';
import type { SheetPiece, SheetUse } from './lay.ts';
import { sheetTree } from './sheet-tree.ts';

/** A cut with what must be cut before it. */
interface PlannedCut {
  readonly region: Region;
  readonly what: CutOperation['from']['what'];
  readonly depth: number;
  readonly across: boolean;
  readonly takes: Length;
  readonly gives: CutGives;
  readonly leaves: CutLeaves;
  readonly piece: string;
  readonly cuts: readonly SheetCut[];
}

function firstPiece({ pieces }: Region): string | undefined {
  return pieces[0]?.piece;
}

function givesOf({ region, cut }: CutTree): CutGives {
  const piece = firstPiece(region);
  if (piece === undefined) return { kind: 'waste' };
  return cut ? { kind: 'strip' } : { kind: 'piece', piece };
}

/** What stays when a part has been cut as far as one setting does it. */
function leavesOf({ region, cut }: CutTree, across: boolean): CutLeaves {
  const piece = firstPiece(region);
  if (cut) return { kind: 'more' };
  if (piece !== undefined) return { kind: 'piece', piece };
  const width = across ? region.width : region.height;
  return width > 0 ? { kind: 'waste', width } : { kind: 'nothing' };
}

/** Whether two strips come off at the same setting for the same end, whatever is cut of them later. */
function isAlike(a: CutTree, b: CutTree): boolean {
  const isSameSize = a.region.width === b.region.width && a.region.height === b.region.height;
  if (!isSameSize) return false;
  const isCutOn = a.cut !== undefined;
  if (isCutOn !== (b.cut !== undefined)) return false;
  return isCutOn || firstPiece(a.region) === firstPiece(b.region);
}

function lineOf(
  { x, y, width, height }: Region,
  across: boolean,
  at: Length,
  sheet: number,
): SheetCut {
  return across
    ? { sheet, x1: at, y1: y, x2: at, y2: plus(y, height) }
    : { sheet, x1: x, y1: at, x2: plus(x, width), y2: at };
}

/** The cuts of one sheet; strips alike that lie side by side are cut at one setting, one after the other. */
function cutsOf(
  tree: CutTree,
  sheet: number,
  depth: number,
  what: CutOperation['from']['what'],
): readonly PlannedCut[] {
  const { region, cut } = tree;
  const only = firstPiece(region);
  // A whole sheet that is a piece as it is has to be told too.
  if (!cut && what === 'sheet' && only !== undefined)
    return [
      {
        region,
        what,
        depth,
        across: true,
        takes: region.width,
        gives: { kind: 'piece', piece: only },
        leaves: { kind: 'nothing' },
        piece: only,
        cuts: [],
      },
    ];
  if (!cut) return [];
  const { across, first } = cut;
  const start = across ? region.x : region.y;
  const takes = minus(cut.at, start);
  const lines: SheetCut[] = [lineOf(region, across, cut.at, sheet)];
  const strips = [first];
  let { rest } = cut;
  while (rest.cut?.across === across && isAlike(rest.cut.first, first)) {
    lines.push(lineOf(rest.region, across, rest.cut.at, sheet));
    strips.push(rest.cut.first);
    ({ rest } = rest.cut);
  }
  return [
    {
      region,
      what,
      depth,
      across,
      takes,
      gives: givesOf(first),
      leaves: leavesOf(rest, across),
      piece: firstPiece(first.region) ?? firstPiece(region) ?? '',
      cuts: lines,
    },
    ...strips.flatMap((strip) => cutsOf(strip, sheet, depth + 1, 'strip')),
    ...cutsOf(rest, sheet, depth + 1, 'rest'),
  ];
}

interface Setting {
  readonly setting: Length;
  readonly wanted: CutOperation['wanted'];
  readonly tool: CutOperation['tool'];
  readonly arm: CutOperation['arm'];
  readonly cautions: readonly CutCaution[];
}

/**
 * How a cut is set on the trimmer: the wanted part is measured, unless it is too narrow to be held or too
 * wide for the ruler; then the rest of the part is.
 */
function settingFor({ region, across, takes, cuts }: PlannedCut, kit: Kit): Setting {
  const { trimmer } = kit;
  const [whole, long] = across ? [region.width, region.height] : [region.height, region.width];
  const rest = minus(whole, takes);
  const isNarrow = takes < trimmer.leastStrip;
  const cautions: CutCaution[] = isNarrow ? ['narrow strip'] : [];
  const arm = (setting: Length) => (setting > trimmer.tableWidth ? 'out' : 'in');
  const hasTrimmer = cuttingMeans(kit)?.tool === 'trimmer';
  const isByHand = !hasTrimmer || long > trimmer.cutLength;
  const isInReach = (setting: Length) => setting <= trimmer.widthWithArm;
  // The other side can only be set once: after the first cut the rest is narrower.
  const other = cuts.length === 1 && isInReach(rest) && isOnGrid(rest, trimmer.step);
  if (!isByHand && other && (isNarrow || !isInReach(takes)))
    return { setting: rest, wanted: 'beyond the blade', tool: 'trimmer', arm: arm(rest), cautions };
  const tool = isByHand || !isInReach(takes) ? 'ruler' : 'trimmer';
  if (tool === 'ruler' && hasTrimmer) cautions.push('too large');
  return {
    setting: takes,
    wanted: 'on the ruler',
    tool,
    arm: tool === 'ruler' ? 'in' : arm(takes),
    cautions,
  };
}

/** Cuts that are made in one go: parts of one size, at one setting, for the same outcome. */
function keyOf(cut: PlannedCut, paper: Paper, setting: Setting): string {
  const { region, across, takes, gives, leaves, what, depth } = cut;
  const outcome = gives.kind === 'piece' ? gives.piece : gives.kind;
  const left = leaves.kind === 'piece' ? leaves.piece : leaves.kind;
  return [
    paper.id,
    what,
    region.width,
    region.height,
    across,
    takes,
    outcome,
    left,
    setting.setting,
    setting.wanted,
    depth,
  ].join(' ');
}

/** A step as it is gathered, with how many cuts must come before it. */
interface Draft {
  readonly depth: number;
  readonly step: CutOperation;
}

/** Whether what is left of a part is one more of what its cuts give. */
function leavesOneMore({ gives, leaves }: Pick<CutOperation, 'gives' | 'leaves'>): boolean {
  return gives.kind === 'piece' && leaves.kind === 'piece' && gives.piece === leaves.piece;
}

/** How many of what it gives come of one part. */
function yieldOf(
  outcome: Pick<CutOperation, 'gives' | 'leaves'>,
  cuts: readonly SheetCut[],
): number {
  return Math.max(1, cuts.length + Number(leavesOneMore(outcome)));
}

function stepFor(cut: PlannedCut, paper: Paper, setting: Setting): CutOperation {
  const { region, across, takes, gives, leaves, piece, cuts, what } = cut;
  const { width, height } = region;
  return {
    kind: 'cut',
    piece,
    paper: paper.id,
    ...setting,
    takes,
    gives,
    leaves,
    ...(hasWayUp(paper) && {
      print: across ? 'along the cut' : 'across the cut',
    }),
    from: { what, count: 1, width, height },
    perPart: [yieldOf(cut, cuts)],
    measures: across ? 'width' : 'height',
    count: yieldOf(cut, cuts),
    isWhole: cuts.length === 0,
    cuts,
  };
}

/** A step with the same cuts through one part more. */
function withOneMore(step: CutOperation, cuts: readonly SheetCut[]): CutOperation {
  const count = yieldOf(step, cuts);
  return {
    ...step,
    from: { ...step.from, count: step.from.count + 1 },
    count: step.count + count,
    perPart: [...step.perPart, count].sort((a, b) => b - a),
    cuts: [...step.cuts, ...cuts],
  };
}

function draftsFor(
  use: SheetUse,
  pieces: readonly SheetPiece[],
  paper: Paper,
  kit: Kit,
): readonly Draft[] {
  const drafts = new Map<string, Draft>();
  for (let sheet = 0; sheet < use.sheets; sheet++) {
    const tree = sheetTree(use, sheet, { pieces, size: paper.sheet, kit });
    for (const cut of cutsOf(tree, sheet, 0, 'sheet')) {
      const setting = settingFor(cut, kit);
      const key = keyOf(cut, paper, setting);
      const known = drafts.get(key);
      const step = known ? withOneMore(known.step, cut.cuts) : stepFor(cut, paper, setting);
      drafts.set(key, { depth: cut.depth, step });
    }
  }
  return [...drafts.values()];
}

/** Wide strips first; what is narrow is held longest by the wider part. */
function isNarrow({ cautions }: CutOperation): boolean {
  return cautions.includes('narrow strip');
}

/** Of what can be cut next, the one at the setting that the trimmer has; narrow strips last. */
function nextOf(open: readonly Draft[], setting: Length | undefined): Draft | undefined {
  const least = Math.min(...open.map(({ depth }) => depth));
  const ready = open.filter(({ depth }) => depth === least);
  const rank = ({ step }: Draft) => Number(isNarrow(step)) * 2 + Number(step.setting !== setting);
  return [...ready].sort((a, b) => rank(a) - rank(b) || b.step.setting - a.step.setting)[0];
}

/**
 * The cuts that take sheets apart into the pieces of a job, in order: from whole sheets to strips to
 * pieces, the trimmer's setting changed as seldom as that allows, narrow strips last.
 */
export function cutPlan(
  uses: readonly { readonly use: SheetUse; readonly paper: Paper }[],
  pieces: readonly SheetPiece[],
  kit: Kit,
): readonly CutOperation[] {
  const steps: CutOperation[] = [];
  let setting: Length | undefined;
  let open = uses.flatMap(({ use, paper }) => draftsFor(use, pieces, paper, kit));
  for (let next = nextOf(open, setting); next; next = nextOf(open, setting)) {
    steps.push(next.step);
    ({ setting } = next.step);
    open = open.filter((each) => each !== next);
  }
  return steps;
}
