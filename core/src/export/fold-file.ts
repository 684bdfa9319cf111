import { z } from 'zod';
import { joinOpenings } from './join-openings.ts';
import { subdivide, type Piece, type Subdivision, type SubdivisionEdge } from '../piece/index.ts';

/** A crease pattern in the open FOLD format, version 1.2: flat, in millimetres, y upwards. */
export const foldFileSchema = z.object({
  file_spec: z.literal(1.2),
  file_creator: z.string(),
  file_title: z.string(),
  frame_title: z.string(),
  frame_classes: z.array(z.string()),
  frame_attributes: z.array(z.string()),
  frame_unit: z.literal('mm'),
  vertices_coords: z.array(z.tuple([z.number(), z.number()])),
  edges_vertices: z.array(z.tuple([z.number(), z.number()])),
  edges_assignment: z.array(z.enum(['B', 'M', 'V', 'F', 'C', 'J'])),
  edges_foldAngle: z.array(z.number()),
  faces_vertices: z.array(z.array(z.number())),
});
export type FoldFile = z.infer<typeof foldFileSchema>;

type Assignment = FoldFile['edges_assignment'][number];

/** Border, mountain, valley, flat, or a slit between two faces that stay. */
function assignmentOf(edge: SubdivisionEdge, kept: number): Assignment {
  if (kept === 1) return 'B';
  if (edge.make === 'slit' || edge.make === 'cut') return 'C';
  if (edge.make !== 'score' || !edge.fold) return 'F';
  if (edge.fold.sense === 'valley') return 'V';
  return edge.fold.sense === 'mountain' ? 'M' : 'F';
}

function keptFaces(map: Subdivision, edge: SubdivisionEdge): number {
  return edge.faces.filter((face) => map.faces[face]?.role !== 'waste').length;
}

function rounded(value: number): number {
  return Math.round(value * 1e6) / 1e6;
}

/**
 * A piece as FOLD 1.2, its drawn face up. What is cut away is absent. Angles are those of the closed box in
 * degrees, valleys above zero. A face with openings in it is one ring that runs along a join to each of them,
 * round it and back.
 */
export function foldFile(title: string, piece: Piece): FoldFile {
  const map = subdivide(piece.grid);
  const edges = map.edges.filter((edge) => keptFaces(map, edge) > 0);
  const used = [...new Set(edges.flatMap(({ from, to }) => [from, to]))];
  const renumbered = new Map(used.map((corner, i) => [corner, i]));
  const at = (corner: number) => renumbered.get(corner) ?? 0;
  const place = (corner: number) => {
    const { x, y } = map.corners[corner] ?? { x: 0, y: 0 };
    return { x, y: -y };
  };
  // FOLD lists corners anticlockwise seen from above; ours run clockwise.
  const faces = map.faces
    .filter(({ role }) => role !== 'waste')
    .map(({ corners, holes }) =>
      joinOpenings(
        [...corners].reverse(),
        holes.map((hole) => [...hole].reverse()),
        place,
      ),
    );
  const joins = faces.flatMap((face) => face.joins);
  const assignments = [
    ...edges.map((edge) => assignmentOf(edge, keptFaces(map, edge))),
    ...joins.map((): Assignment => 'J'),
  ];
  return {
    file_spec: 1.2,
    file_creator: 'Rangoli',
    file_title: title,
    frame_title: piece.name,
    frame_classes: ['creasePattern'],
    frame_attributes: [
      '2D',
      assignments.includes('C') ? 'cuts' : 'noCuts',
      joins.length > 0 ? 'joins' : 'noJoins',
      'nonSelfTouching',
    ],
    frame_unit: 'mm',
    vertices_coords: used.map((corner) => {
      const { x, y } = place(corner);
      return [rounded(x), rounded(y)];
    }),
    edges_vertices: [
      ...edges.map(({ from, to }): [number, number] => [at(from), at(to)]),
      ...joins.map(([from, to]): [number, number] => [at(from), at(to)]),
    ],
    edges_assignment: assignments,
    edges_foldAngle: assignments.map((assignment, i) => {
      if (assignment !== 'V' && assignment !== 'M') return 0;
      const angle = edges[i]?.fold?.angle ?? 0;
      return rounded(assignment === 'V' ? angle : -angle);
    }),
    faces_vertices: faces.map(({ ring }) => ring.map(at)),
  };
}
