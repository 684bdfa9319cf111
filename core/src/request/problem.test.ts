import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import {
  millimetres,
  nameOfField,
  planRequestSchema,
  problemsFrom,
  projectDocumentSchema,
  usualRequest,
  type Unit,
} from '../index.ts';
import { anyRequest, sundial } from '../testing/requests.ts';

/** The sentences about a refused document. */
function told(schema: z.ZodType, value: unknown, unit: Unit): readonly string[] {
  const parsed = schema.safeParse(value);
  if (parsed.success) throw new Error('This should have been refused');
  return problemsFrom(parsed.error, unit).map(({ field, message }) => `${field}: ${message}`);
}

const good = usualRequest(sundial, 'inch');

describe('a refused document', () => {
  it('is told in the unit that its maker reads, with the limit and the way out', () => {
    const small = { ...good, gift: { ...sundial, high: millimetres(1) } };
    expect(told(planRequestSchema, small, 'mm')).toEqual([
      'gift.high: The gift’s height must be at least 3 mm. Type a larger one.',
    ]);
    const pitch = {
      ...good,
      kit: { ...good.kit, board: { ...good.kit.board, pitch: 1_000_000_000 } },
    };
    expect(told(planRequestSchema, pitch, 'inch')[0]).toMatch(
      /^kit\.board\.pitch: The pitch of the board’s grooves can be at most 1 in\. Type a smaller/,
    );
    const large = { ...good, gift: { ...sundial, deep: millimetres(1001) } };
    expect(told(planRequestSchema, large, 'mm')).toEqual([
      'gift.deep: The gift’s depth can be at most 1000 mm. Type a smaller one.',
    ]);
  });

  it('is told each fault by its own field', () => {
    const bad = {
      ...good,
      unit: 'ell',
      lean: 'askew',
      gift: { ...sundial, across: 'wide', deep: 0.5, high: undefined },
    };
    expect(told(planRequestSchema, bad, 'mm')).toEqual([
      'unit: The unit must be “inch” or “mm”.',
      'gift.across: The gift’s width must be of type number.',
      'gift.deep: The gift’s depth must be a whole number of nanometres.',
      'gift.high: The gift’s height is missing.',
      'lean: The lid’s lean must be “loose” or “tight”.',
    ]);
  });

  it('is told in the sentence that a schema has of its own', () => {
    const document = { version: 1, name: '  ', box: good };
    expect(told(projectDocumentSchema, document, 'mm')).toEqual(['name: Give the box a name.']);
    const long = { ...document, name: 'x'.repeat(81) };
    expect(told(projectDocumentSchema, long, 'mm')).toEqual([
      'name: Keep the name to 80 characters.',
    ]);
    const neck = {
      shape: 'bottle',
      diameter: millimetres(50),
      body: millimetres(60),
      shoulder: millimetres(5),
      neckDiameter: millimetres(51),
      neck: millimetres(20),
    };
    expect(told(planRequestSchema, { ...good, gift: neck }, 'mm')).toEqual([
      'gift.neckDiameter: The neck can’t be wider than the body.',
    ]);
  });

  it('is told of a fault that nothing else fits by its path', () => {
    const schema = z.object({ made: z.array(z.string()).max(1) });
    expect(told(schema, { made: ['a', 'b'] }, 'mm')[0]).toMatch(
      /^made: “made” is not right: .+\.$/,
    );
  });
});

describe('a field', () => {
  it('has the same name in a box, in a document and in what a server is sent', () => {
    for (const field of ['gift.across', 'room.high.target', 'papers.1.thickness', 'lean']) {
      const name = nameOfField(field);
      expect(name).toMatch(/^The /);
      expect(nameOfField(`box.${field}`)).toBe(name);
      expect(nameOfField(`document.box.${field}`)).toBe(name);
    }
    expect(nameOfField('gift.colour')).toBe('“gift.colour”');
    expect(nameOfField('kit.box.gift.across')).toBe('“kit.box.gift.across”');
  });
});

/** A value in a document by its path, put in its place. */
function withValue(document: unknown, path: readonly string[], value: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (typeof document !== 'object' || document === null) throw new Error(`No ${key} there`);
  const fields = new Map<string, unknown>(Object.entries(document));
  fields.set(key, withValue(fields.get(key), rest, value));
  return Object.fromEntries(fields);
}

describe('any document with one wrong length', () => {
  const lengths = [
    'room.across.target',
    'room.deep.target',
    'room.high.target',
    'kit.board.pitch',
    'kit.trimmer.step',
  ] as const;
  const bad = fc.oneof(
    fc.integer({ min: 200_000_000, max: Number.MAX_SAFE_INTEGER }),
    fc.integer({ min: -9_000_000_000, max: -1 }),
    fc.constant(0.25),
    fc.constant('12'),
    fc.constant(null),
  );

  it('is told of that field, in one sentence that says what to do', () => {
    fc.assert(
      fc.property(anyRequest, fc.constantFrom(...lengths), bad, (request, field, value) => {
        const parsed = planRequestSchema.safeParse(withValue(request, field.split('.'), value));
        if (parsed.success) throw new Error(`${field} may be ${String(value)}`);
        const [problem] = problemsFrom(parsed.error, request.unit);
        expect(problem?.field).toBe(field);
        expect(problem?.message).toMatch(
          /^The .+ (must be|can be) .+\.( Type a (larger|smaller) one\.)?$/,
        );
        expect(problem?.message).toContain(nameOfField(field));
      }),
    );
  });
});
