import { z } from 'zod';
import {
  carriedAlong,
  dot,
  vector,
  closedFaces,
  foldingBox,
  type FoldingBox,
  type Part,
} from '../fold/index.ts';
import { formatWithUnit, millimetres, toMillimetres, zero } from '../length/index.ts';
import { paperFor, paperSchema } from '../paper/index.ts';
import type { Piece } from '../piece/index.ts';
import type { Addition, DressBrief, Undressed } from './addition.ts';
import { cutTo, isConvex, outlineOf } from './outline.ts';
import { roomAt } from './room-at.ts';
import { leastPanel, panelGrid, panelShape } from './panel-shape.ts';

/** A plate that lies on the floor of the box, under the gift. */
export const stiffenerSchema = z.object({
  addition: z.literal('stiffener'),
  id: z.string().min(1).max(40),
  paper: paperSchema,
});
export type StiffenerChoice = z.infer<typeof stiffenerSchema>;

/** So much smaller it is than the floor on every side, to be laid in. */
const ease = millimetres(0.3);

/** Nothing lies between the floor and the plate, or not more than this, in millimetres. */
const close = 3;

/** The part that the gift stands in: that of the nearest card under the middle of its room. */
function partUnder(box: FoldingBox): Part | undefined {
  const { floor } = box.assembly.cavity;
  const x = floor.reduce((sum, corner) => sum + corner.x, 0) / floor.length;
  const y = floor.reduce((sum, corner) => sum + corner.y, 0) / floor.length;
  const under = closedFaces(box)
    .filter(({ out }) => Math.abs(dot(out, vector(0, 0, 1))) > 0.99)
    .flatMap((face) => {
      const [first] = face.ring;
      if (!first || first.z > 0 || first.z < -close) return [];
      const xs = face.ring.map((corner) => corner.x);
      const ys = face.ring.map((corner) => corner.y);
      const isThere =
        Math.min(...xs) < x && Math.max(...xs) > x && Math.min(...ys) < y && Math.max(...ys) > y;
      return isThere ? [{ part: face.part, z: first.z }] : [];
    })
    .sort((a, b) => b.z - a.z);
  return box.assembly.parts.find(({ id }) => id === under[0]?.part);
}

function refused(brief: DressBrief) {
  const least = formatWithUnit(leastPanel, brief.unit);
  return {
    ok: false as const,
    refusal: {
      field: brief.field,
      message: `This box has no flat floor that a stiffener of ${least} or more could lie on. Take the stiffener out.`,
    },
  };
}

function wear({ id, paper }: StiffenerChoice, bare: Undressed, brief: DressBrief) {
  const { drawn, papers } = bare;
  const { assembly, pieces } = drawn;
  const box = foldingBox(pieces, (piece) => paperFor(papers, piece.paper).thickness, assembly);
  const under = partUnder(box);
  const thick = toMillimetres(paper.thickness);
  // It lies in what the room narrows to, above or below.
  const { cavity } = assembly;
  const outline = cutTo(outlineOf(cavity.floor), outlineOf(roomAt(cavity, -thick)), 0);
  if (!under || !isConvex(outline)) return refused(brief);
  const answer = panelShape({ outline, openings: [], margin: ease, step: brief.step });
  if (!answer.ok) return refused(brief);
  const { shape } = answer;
  // It lies in every copy of the piece that the gift stands in.
  const copies = box.parts.filter(({ part }) => part.piece === under.piece);
  const first = copies.find(({ part }) => part.id === under.id);
  const piece: Piece = {
    id: `${id} plate`,
    name: 'Stiffener',
    paper: brief.firstPaper,
    copies: copies.length,
    grid: panelGrid(shape),
  };
  const here = {
    right: vector(1, 0, 0),
    up: vector(0, 1, 0),
    out: vector(0, 0, 1),
    at: vector(shape.on.x, shape.on.y, -thick / 2),
  };
  const { left, right, bottom, top } = shape.bounds;
  const parts = copies.map((copy): Part => {
    const place = first ? carriedAlong(here, { from: first.closed, to: copy.closed }) : here;
    return {
      id: `${id} in ${copy.part.id}`,
      piece: piece.id,
      root: {
        column: (shape.on.x - left) / (right - left),
        row: (top - shape.on.y) / (top - bottom),
      },
      right: place.right,
      up: place.up,
      at: place.at,
      joins: Math.max(0, assembly.giftEnters - 1),
      lies: { in: under.piece },
      ...(copy.part.opens && { opens: copy.part.opens }),
    };
  });
  return { ok: true as const, worn: { pieces: [piece], parts, stacks: [] } };
}

/** A plate that braces the floor. */
export const stiffener: Addition<StiffenerChoice> = {
  papers: ({ paper }) => [paper],
  withPaper: (choice, _, paper) => ({ ...choice, paper }),
  room: ({ paper }) => ({ across: zero, deep: zero, high: paper.thickness }),
  takes: () => [],
  laid: () => [],
  leftOff: () => [],
  wear,
};
