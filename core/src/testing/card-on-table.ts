import {
  cutSizeOf,
  gridPositions,
  parseLength,
  type DoneSoFar,
  type Mishap,
  type Plan,
  type PlanRequest,
  type Side,
  type WayOn,
} from '../index.ts';

/** A piece as it lies on the table: its size, and the lines that are on it, from its left and its top edge. */
export interface Card {
  readonly width: number;
  readonly height: number;
  readonly lines: readonly {
    readonly axis: 'column' | 'row';
    readonly index: number;
    at: number;
  }[];
}

export type Cards = ReadonlyMap<string, Card>;

export function pieceIn({ pieces }: Plan, id: string) {
  const piece = pieces.find((each) => each.id === id);
  if (!piece) throw new Error(`No ${id}`);
  return piece;
}

export function readingsIn(plan: Plan, id: string) {
  return plan.marks.find(({ piece }) => piece === id)?.readings ?? [];
}

/** Where a grid line of a piece is planned. */
export function planned(plan: Plan, id: string, axis: 'column' | 'row', index: number): number {
  const { columns, rows } = pieceIn(plan, id).grid;
  return gridPositions(axis === 'column' ? columns : rows)[index] ?? NaN;
}

/** Pieces cut and scored exactly as planned, as far as they are done. */
export function asPlanned(plan: Plan, { cut, scored }: DoneSoFar): Cards {
  return new Map(
    [...cut].map((id) => {
      const lines = scored
        .filter(({ piece }) => piece === id)
        .map(({ line: { axis, index } }) => ({ axis, index, at: planned(plan, id, axis, index) }));
      return [id, { ...cutSizeOf(pieceIn(plan, id).grid), lines }];
    }),
  );
}

function cutOff(card: Card, edge: Side, depth: number): Card {
  const isWide = edge === 'left' || edge === 'right';
  const axis = isWide ? 'column' : 'row';
  const size = {
    width: card.width - (isWide ? depth : 0),
    height: card.height - (isWide ? 0 : depth),
  };
  const shift = edge === 'left' || edge === 'top' ? depth : 0;
  const lines = card.lines
    .map((line) => (line.axis === axis ? { ...line, at: line.at - shift } : line))
    .filter(({ axis: way, at }) => at > 0 && at < (way === 'column' ? size.width : size.height));
  return { ...size, lines };
}

/** What the mishap has made of the piece; a torn one is cut when the maker is told to. */
export function afterwards(plan: Plan, card: Card, mishap: Mishap): Card {
  const from = (axis: string, index: number) =>
    readingsIn(plan, mishap.piece).find((each) => each.axis === axis && each.index === index)?.from;
  if (mishap.kind === 'cut') {
    const { width, height } = mishap;
    const lines = card.lines.map((line) => {
      const longer = line.axis === 'column' ? width - card.width : height - card.height;
      return from(line.axis, line.index) === 'end' ? { ...line, at: line.at + longer } : line;
    });
    return { width, height, lines };
  }
  if (mishap.kind === 'torn') return card;
  const { axis, index } = mishap.line;
  const size = axis === 'column' ? card.width : card.height;
  const at = from(axis, index) === 'end' ? size - mishap.at : mishap.at;
  const others = card.lines.filter((line) => line.axis !== axis || line.index !== index);
  return { ...card, lines: [...others, { axis, index, at }] };
}

export function typed(text: string, { kit }: PlanRequest): number {
  const parsed = parseLength(text, kit.trimmer.unit);
  if (!parsed.ok) throw new Error(`No length: ${text}`);
  return parsed.length;
}

/** The edge from which a score was measured, as the maker did it. */
function measuredFrom(plan: Plan, mishap: Mishap): Side | undefined {
  if (mishap.kind !== 'score') return undefined;
  const { axis, index } = mishap.line;
  const reading = readingsIn(plan, mishap.piece).find(
    (each) => each.axis === axis && each.index === index,
  );
  if (axis === 'column') return reading?.from === 'end' ? 'right' : 'left';
  return reading?.from === 'end' ? 'bottom' : 'top';
}

/** Does to the piece what the first sentence says: cuts a strip off, or cuts it down. */
export function followed(
  card: Card,
  { sentences }: WayOn,
  request: PlanRequest,
  { mishap, plan }: { readonly mishap: Mishap; readonly plan: Plan },
): Card {
  const first = sentences.find((each) => each.startsWith('Cut ')) ?? '';
  const off = /^Cut (.+) off the .+ at the (.+?)[,:]/.exec(first);
  const edges: readonly Side[] = ['left', 'right', 'top', 'bottom'];
  const named: Readonly<Record<string, Side | undefined>> = {
    ...Object.fromEntries(edges.map((each) => [each, each])),
    'torn edge': mishap.kind === 'torn' ? mishap.edge : undefined,
    'edge that the score was measured from': measuredFrom(plan, mishap),
  };
  const edge = named[off?.[2] ?? ''];
  if (off && edge) return cutOff(card, edge, typed(off[1] ?? '', request));
  const down = /^Cut the .+ down to (.+) × ([^,]+)(?:, at the right and the bottom)?\.$/.exec(
    first,
  );
  if (!down) return card;
  const unit = request.kit.trimmer.unit === 'inch' ? ' in' : ' mm';
  const high = typed(down[2] ?? '', request);
  const wide = typed(`${down[1] ?? ''}${unit}`, request);
  return cutOff(cutOff(card, 'right', card.width - wide), 'bottom', card.height - high);
}
