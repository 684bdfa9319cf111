import { z } from 'zod';
import {
  inchFraction,
  inches,
  lengthBetween,
  millimetres,
  unitSchema,
  type Length,
} from '../length/index.ts';
import { toolIdSchema, toolNameSchema } from './tool-name.ts';

/** What a punch makes: a round hole, a rounded corner, a bordered edge, or a shaped end of a strip. */
export const punchShapeSchema = z.enum(['hole', 'corner', 'edge', 'end']);
export type PunchShape = z.infer<typeof punchShapeSchema>;

/** A punch, by the one number that says what it fits. */
export const punchSchema = z.object({
  id: toolIdSchema,
  name: toolNameSchema,
  unit: unitSchema,
  shape: punchShapeSchema,
  /** A hole's width, a corner's radius, how far an edge's pattern repeats, the widest strip an end takes. */
  size: lengthBetween(millimetres(1), millimetres(150)),
});
export type Punch = z.infer<typeof punchSchema>;

const roundInches: readonly (readonly [string, Length])[] = [
  ['3/4', inchFraction(3, 4)],
  ['1', inches(1)],
  ['1 1/4', inchFraction(5, 4)],
  ['1 1/2', inchFraction(6, 4)],
  ['1 3/4', inchFraction(7, 4)],
  ['2', inches(2)],
  ['2 1/4', inchFraction(9, 4)],
  ['2 1/2', inchFraction(10, 4)],
  ['2 3/4', inchFraction(11, 4)],
  ['3', inches(3)],
];

/** Usual punches. */
export const genericPunches: readonly Punch[] = [
  {
    id: 'hole-1-8',
    name: '1/8 in hole punch',
    unit: 'inch',
    shape: 'hole',
    size: inchFraction(1, 8),
  },
  {
    id: 'hole-3-16',
    name: '3/16 in hole punch',
    unit: 'inch',
    shape: 'hole',
    size: inchFraction(3, 16),
  },
  {
    id: 'hole-1-4',
    name: '1/4 in hole punch',
    unit: 'inch',
    shape: 'hole',
    size: inchFraction(1, 4),
  },
  { id: 'hole-4mm', name: '4 mm hole punch', unit: 'mm', shape: 'hole', size: millimetres(4) },
  { id: 'hole-6mm', name: '6 mm hole punch', unit: 'mm', shape: 'hole', size: millimetres(6) },
  ...roundInches.map(([said, size]): Punch => ({
    id: `round-${said.replaceAll(/[ /]/g, '-')}`,
    name: `${said} in round punch`,
    unit: 'inch',
    shape: 'hole',
    size,
  })),
  {
    id: 'corner-1-4',
    name: '1/4 in corner rounder',
    unit: 'inch',
    shape: 'corner',
    size: inchFraction(1, 4),
  },
  {
    id: 'corner-10mm',
    name: '10 mm corner rounder',
    unit: 'mm',
    shape: 'corner',
    size: millimetres(10),
  },
  { id: 'edge-1', name: 'Edge punch', unit: 'inch', shape: 'edge', size: inches(1) },
  { id: 'end-2', name: 'Shaped-end punch', unit: 'inch', shape: 'end', size: inches(2) },
];

/** How often the borders of these punches repeat, the widest first. */
export function borderPunches(punches: readonly Punch[]): readonly Length[] {
  const sizes = punches.filter(({ shape }) => shape === 'edge').map(({ size }) => size);
  return [...new Set(sizes)].sort((a, b) => b - a);
}

/** How wide the holes are that these punches make, the smallest first. */
export function roundPunches(punches: readonly Punch[]): readonly Length[] {
  const sizes = punches.filter(({ shape }) => shape === 'hole').map(({ size }) => size);
  return [...new Set(sizes)].sort((a, b) => a - b);
}
