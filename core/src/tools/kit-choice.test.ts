import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  drawerOf,
  isInKit,
  isOneOfAKind,
  kitFor,
  kitSchema,
  kitWith,
  shippedToolbox,
  toolboxSchema,
  toolKindSchema,
} from './index.ts';

const tools = toolKindSchema.options
  .flatMap((kind) => drawerOf(shippedToolbox, kind))
  .filter(isOneOfAKind);

describe('what is shipped', () => {
  it('is what an empty toolbox begins with', () => {
    expect(shippedToolbox).toEqual(toolboxSchema.parse({ version: 1 }));
  });
});

describe('a tool that a box is planned for', () => {
  it('takes the place of the one of its kind, and of nothing else', () => {
    const kit = fc
      .record({
        unit: fc.constantFrom('inch' as const, 'mm' as const),
        without: fc.subarray([...toolKindSchema.options]),
      })
      .map(({ unit, without }) => ({ ...kitFor(shippedToolbox, unit), without }));
    fc.assert(
      fc.property(kit, fc.constantFrom(...tools), (before, kept) => {
        const after = kitWith(before, kept);
        expect(kitSchema.safeParse(after).success).toBe(true);
        expect(isInKit(after, kept)).toBe(true);
        for (const other of tools)
          if (other.kind === kept.kind)
            expect(isInKit(after, other)).toBe(other.tool.id === kept.tool.id);
          else expect(isInKit(after, other)).toBe(isInKit(before, other));
        // Whatever else there is stays as it was.
        for (const kind of ['punches', 'adhesives', 'rulers'] as const)
          expect(after[kind]).toEqual(before[kind]);
        expect(after.without).toEqual(before.without.filter((kind) => kind !== kept.kind));
        expect(kitWith(after, kept)).toEqual(after);
      }),
    );
  });
});
