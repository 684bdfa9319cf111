import { cutSizeOf, isWithin, outlinesOf, subdivide } from '../piece/index.ts';
import type { Piece, Point, Subdivision, SubdivisionEdge } from '../piece/index.ts';
import { toMillimetres } from '../length/index.ts';

/** Card left free round each piece on the exported page, in millimetres. */
const margin = 5;

/** A line kind of the pattern as a layer: its name, how it is drawn, which edges it holds. */
interface Layer {
  readonly name: string;
  readonly style: string;
  readonly holds: (edge: SubdivisionEdge) => boolean;
}

const layers: readonly Layer[] = [
  {
    name: 'slit',
    style: 'stroke="#000" stroke-width="0.5"',
    holds: (edge) => edge.make === 'slit' || edge.make === 'cut',
  },
  {
    name: 'score-valley',
    style: 'stroke="#000" stroke-width="0.2" stroke-dasharray="3 1.5"',
    holds: (edge) => edge.make === 'score' && edge.fold?.sense === 'valley',
  },
  {
    name: 'score-mountain',
    style: 'stroke="#000" stroke-width="0.2" stroke-dasharray="4 1.2 0.8 1.2"',
    holds: (edge) => edge.make === 'score' && edge.fold?.sense === 'mountain',
  },
  {
    name: 'score-mark',
    style: 'stroke="#000" stroke-width="0.2" stroke-dasharray="0.8 1.6"',
    holds: (edge) => edge.make === 'score' && edge.fold?.sense === 'mark',
  },
];

/** A coordinate in millimetres with four decimals, which is exact for 1/64 in and for 0.001 mm. */
function figure(value: number): string {
  const rounded = Math.round(value * 10_000) / 10_000;
  return `${rounded === 0 ? 0 : rounded}`;
}

function ringPath(ring: readonly Point[]): string {
  return `${ring.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${figure(x)} ${figure(y)}`).join(' ')} Z`;
}

function edgePath(map: Subdivision, edge: SubdivisionEdge): string {
  const from = map.corners[edge.from];
  const to = map.corners[edge.to];
  return from && to ? `M${figure(from.x)} ${figure(from.y)} L${figure(to.x)} ${figure(to.y)}` : '';
}

/** Whether XML may hold a character at all, however it is written (XML 1.0, production 2). */
function isInXml(character: string): boolean {
  const code = character.codePointAt(0) ?? 0;
  return (
    code === 0x9 ||
    code === 0xa ||
    code === 0xd ||
    (code >= 0x20 && code <= 0xd7ff) ||
    (code >= 0xe000 && code <= 0xfffd) ||
    code >= 0x10000
  );
}

function escapeText(text: string): string {
  return Array.from(text)
    .filter(isInXml)
    .join('')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');
}

interface PlacedPiece {
  readonly piece: Piece;
  readonly map: Subdivision;
  readonly x: number;
}

function layerGroup(
  name: string,
  style: string,
  pieces: readonly PlacedPiece[],
  draw: (piece: PlacedPiece) => string,
) {
  const drawn = pieces
    .map((each) => ({ each, path: draw(each) }))
    .filter(({ path }) => path !== '')
    .map(
      ({ each, path }) =>
        `    <path data-piece="${escapeText(each.piece.id)}" transform="translate(${figure(each.x)} ${margin})" d="${path}"/>`,
    );
  return drawn.length === 0
    ? []
    : [`  <g id="${name}" data-layer="${name}" fill="none" ${style}>`, ...drawn, '  </g>'];
}

/**
 * The pattern of a box as SVG at true size: user units are millimetres, pieces stand side by side with
 * their inside face up, and each kind of line is a named layer. The waste of tapers is cut away.
 */
export function svgPattern(title: string, pieces: readonly Piece[]): string {
  let x = margin;
  let height = 0;
  const placed: PlacedPiece[] = [];
  for (const piece of pieces) {
    const size = cutSizeOf(piece.grid);
    placed.push({ piece, map: subdivide(piece.grid), x });
    x += toMillimetres(size.width) + margin;
    height = Math.max(height, toMillimetres(size.height));
  }
  const width = figure(x);
  const tall = figure(height + 2 * margin);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${tall}mm" viewBox="0 0 ${width} ${tall}">`,
    `  <title>${escapeText(title)}</title>`,
    ...layerGroup('cut', 'stroke="#000" stroke-width="0.3"', placed, ({ map }) =>
      outlinesOf(map).map(ringPath).join(' '),
    ),
    ...layers.flatMap(({ name, style, holds }) =>
      layerGroup(name, style, placed, ({ map }) =>
        map.edges
          .filter((edge) => holds(edge) && isWithin(map, edge))
          .map((edge) => edgePath(map, edge))
          .join(' '),
      ),
    ),
    '</svg>',
    '',
  ].join('\n');
}
