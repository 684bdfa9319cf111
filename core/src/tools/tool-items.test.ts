import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  changedTools,
  shippedToolbox,
  toolboxOf,
  toolboxSchema,
  toolKindSchema,
  type Toolbox,
  type ToolItem,
} from '../index.ts';

/** What a maker does in their drawers: has a tool, has none of a kind, copies one, changes one, throws one away. */
const deed = fc.record({
  what: fc.constantFrom('have', 'lack', 'copy', 'rename', 'throw away'),
  kind: fc.constantFrom(...toolKindSchema.options),
  which: fc.nat(9),
});
type Deed = typeof deed extends fc.Arbitrary<infer Value> ? Value : never;

function after(toolbox: Toolbox, { what, kind, which }: Deed, id: string): Toolbox {
  const drawer = toolbox[kind].map((kept) => structuredClone(kept));
  const one = drawer[which % Math.max(1, drawer.length)];
  if (what === 'lack') {
    const others = toolbox.without.filter((each) => each !== kind);
    const without = others.length < toolbox.without.length ? others : [...others, kind];
    return { ...toolbox, without };
  }
  if (!one) return toolbox;
  if (what === 'have') one.owned = !one.owned;
  if (what === 'rename') one.tool.name = `${one.tool.name.slice(0, 20)} ${String(which)}`;
  const next =
    what === 'throw away'
      ? drawer.filter((each) => each !== one)
      : what === 'copy'
        ? [...drawer, { owned: true, tool: { ...one.tool, id } }]
        : drawer;
  return toolboxSchema.parse({ ...toolbox, [kind]: next });
}

/** A toolbox without the order in which kinds were said to be missing. */
function plain(toolbox: Toolbox): Toolbox {
  return { ...toolbox, without: [...toolbox.without].sort() };
}

describe('the maker’s tools as items', () => {
  it('make the toolbox again that was changed, however it was', () => {
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 12 }), (deeds) => {
        let toolbox = shippedToolbox;
        const known = new Map<string, ToolItem>();
        for (const [i, each] of deeds.entries()) {
          const next = after(toolbox, each, `own ${String(i)}`);
          const changed = changedTools({ before: toolbox, after: next }, { known, now: i + 1 });
          for (const [id, item] of changed) known.set(id, item);
          toolbox = next;
        }
        expect(plain(toolboxOf(known))).toEqual(plain(toolbox));
      }),
    );
  });

  it('of two devices are all there, each as it was said last', () => {
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 6 }), fc.array(deed, { maxLength: 6 }), (a, b) => {
        const saidBy = (deeds: readonly Deed[], device: string) =>
          deeds.reduce(
            ({ toolbox, known }, each, i) => {
              const next = after(toolbox, each, `${device} ${String(i)}`);
              const said = changedTools({ before: toolbox, after: next }, { known, now: i + 1 });
              return { toolbox: next, known: new Map([...known, ...said]) };
            },
            { toolbox: shippedToolbox, known: new Map<string, ToolItem>() },
          );
        const [here, there] = [saidBy(a, 'tablet'), saidBy(b, 'computer')];
        const both = toolboxOf(new Map([...here.known, ...there.known]));
        for (const kind of toolKindSchema.options) {
          const ids = both[kind].map(({ tool }) => tool.id);
          for (const { toolbox, known } of [here, there])
            for (const { tool } of toolbox[kind])
              // A tool stays unless somebody said that it is gone.
              if (known.has(tool.id) && !gone(here.known, tool.id) && !gone(there.known, tool.id))
                expect(ids).toContain(tool.id);
        }
      }),
    );
  });
});

function gone(items: ReadonlyMap<string, ToolItem>, id: string): boolean {
  return items.get(id)?.kind === 'gone';
}
