import { z } from 'zod';
import {
  allStyles,
  cutSizeOf,
  millimetres,
  planBox,
  planRequestSchema,
  planSchema,
  projectDocumentSchema,
  usualRequest,
  type Gift,
  type PlanRequest,
  type StyleSummary,
} from '@rangoli/core';

/** The gift of the worked requests: a round tin of night tea, which every kind of box can hold. */
const tin: Gift = {
  shape: 'cylinder',
  diameter: millimetres(40),
  length: millimetres(22),
  lies: 'standing',
};

/** The worked request of a style: the tin, usual papers and tools, usual options. */
export function workedRequest(style: StyleSummary): PlanRequest {
  return { ...usualRequest(tin, 'mm'), style: style.usual };
}

function workedExample(style: StyleSummary): string {
  const request = workedRequest(style);
  const result = planBox(request);
  const answer = result.ok
    ? result.plan.pieces
        .map(({ name, copies, grid }) => {
          const { width, height } = cutSizeOf(grid);
          return `${name} ${width / 1_000_000} × ${height / 1_000_000} mm, ${copies}`;
        })
        .join('; ')
    : result.problems.map(({ message }) => message).join(' ');
  return [
    `### ${style.name}`,
    '',
    `${style.about}.`,
    '',
    '```json',
    JSON.stringify({ ...request, papers: '…', kit: '…' }, null, 2).replace(/"…"/g, '…'),
    '```',
    '',
    `Pieces to cut: ${answer}`,
    '',
  ].join('\n');
}

/** The published JSON Schemas by file name. */
export function schemas(): ReadonlyMap<string, string> {
  const published = {
    'request.schema.json': planRequestSchema,
    'plan.schema.json': planSchema,
    'project.schema.json': projectDocumentSchema,
  };
  return new Map(
    Object.entries(published).map(([file, schema]) => [
      file,
      `${JSON.stringify(z.toJSONSchema(schema, { io: 'input' }), null, 2)}\n`,
    ]),
  );
}

/** The page on formats, with one worked request for each style. */
export function formatsPage(): string {
  const first = allStyles[0];
  const whole = first ? JSON.stringify(workedRequest(first), null, 2) : '';
  return [
    '# Formats',
    '',
    '<!-- Written by `npm run docs` from the core; a test holds it to what the core does. -->',
    '',
    'Everything that Rangoli takes and gives is JSON with a `version`. Lengths are whole nanometres: 1/64 in is 396875, 0.1 mm is 100000. The JSON Schemas are in [schema/](schema): [request](schema/request.schema.json), [plan](schema/plan.schema.json), [project](schema/project.schema.json).',
    '',
    '## On the command line',
    '',
    '```',
    'npm run -s plan -- FILE.json              the plan as JSON; FILE is a request or a project, - is standard input',
    'npm run -s plan -- FILE.json --fold DIR   also writes DIR/PIECE.fold for each piece',
    'npm run -s plan -- FILE.json --check      folds the box and says what holds, instead of the plan',
    '```',
    '',
    'It ends with 0 when all is well, 1 when a check fails, 2 with a sentence for each field when the request can’t be taken or the box can’t be made, and one for each change with which it could: `This would do: …`.',
    '',
    '## Request',
    '',
    '`gift` is what goes in: `block`, `cylinder`, `ball`, `bottle`, `card`, `lumpy`, `several` alike in rows, or a `set` side by side. `room` is the clearance wanted (`target`) and the least that will do (`floor`), on each side across and deep, over the top. `style` names the kind of box with its options. `papers` are taken by the style in its own order, and the last one does for the rest. `kit` is the trimmer and the board. `lean` is the side to err on when no marks fit.',
    '',
    'A printed paper may say what it shows: `front` and `back.print` are one of Rangoli’s own prints (`own`, with its `ink`) or a `picture` by the digest under which the server keeps it, each with the width of one repeat (`across`). A print that `printRuns` one way has a way up: `printTops` turns that of a piece, by the edge of the drawn piece that its top comes to; otherwise it is turned as is best for what is seen.',
    '',
    'On the command line a short one will do: what is left out is as usual, a length may be written as on the ruler of its `unit` (`mm` where none is named), and what Rangoli ships goes by its name. A key that nobody knows is refused, with the one that it is like.',
    '',
    '```json',
    '{',
    '  "unit": "inch",',
    '  "gift": { "across": "2 5/16", "deep": "2 5/16", "high": "9/16" },',
    '  "room": "snug",',
    '  "style": { "style": "lidded", "options": { "lidDepth": "half" } },',
    '  "papers": ["dusk", { "thickness": "0.3 mm" }]',
    '}',
    '```',
    '',
    'Each piece of the plan that is printed has its cut size beside it: `"cut": { "width": …, "height": …, "said": "3 3/4 × 3 3/4 in" }`.',
    '',
    'A whole one:',
    '',
    '```json',
    whole,
    '```',
    '',
    '## Plan',
    '',
    '`pieces` are score grids: sections from edge to edge both ways, a role for each cell, what is made along each grid line, diagonals, tapers, what is cut out. `clearInside` and `room` are what the gift really has. `pairs` are what goes over what, with the gaps. `marks` are where each score is read, and from which edge. `sheets` say where each piece is cut. `assembly` says how the pieces fold and go together: the parts, which face lies on which, the room inside.',
    '',
    '## FOLD',
    '',
    'FOLD 1.2, one file a piece, flat with its drawn face up: `vertices_coords` in millimetres, `edges_vertices`, `edges_assignment` (B border, M mountain, V valley, F flat, C slit, J a join from a face to an opening in it), `edges_foldAngle` in degrees in the closed box, `faces_vertices`. What is cut away is absent.',
    '',
    '## One request for each kind of box',
    '',
    'All for the same tin of night tea, 40 mm across and 22 mm high, with the usual papers and tools, which are left out here.',
    '',
    ...allStyles.map(workedExample),
  ].join('\n');
}
