import {
  drawerOf,
  newProject,
  progressOf,
  stockPaper,
  toolItemSchema,
  type ProjectDocument,
} from '@rangoli/core';
import fc from 'fast-check';
import { setActivePinia, type Pinia } from 'pinia';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Network } from '../testing/fake-server.ts';
import { newBrowser, type FakeBrowser } from '../testing/fake-browser.ts';
import { useKeeping } from './keeping.ts';
import { useMaking } from './making.ts';
import { useProject } from './project.ts';
import { useToolbox } from './toolbox.ts';

let browser: FakeBrowser;

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const boxes = ['sundial', 'lens'] as const;
type BoxId = (typeof boxes)[number];

/** What a maker does at one of two windows, and what happens to the network and the windows. */
type Deed =
  | {
      readonly what: 'open' | 'type' | 'make' | 'tick' | 'tool';
      readonly window: number;
      readonly box: BoxId;
    }
  | { readonly what: 'network'; readonly is: Network; readonly delay: number }
  | { readonly what: 'wait'; readonly for: number }
  | { readonly what: 'kill' };

const atWindow = fc.record({
  what: fc.constantFrom('open', 'type', 'type', 'make', 'tick', 'tool'),
  window: fc.nat(1),
  box: fc.constantFrom(...boxes),
});
const deeds: fc.Arbitrary<readonly Deed[]> = fc.array(
  fc.oneof(
    { weight: 10, arbitrary: atWindow },
    {
      weight: 3,
      arbitrary: fc.record({
        what: fc.constant('network' as const),
        is: fc.constantFrom<Network>('up', 'up', 'down', 'loses answers', 'fails'),
        delay: fc.constantFrom(0, 0, 300, 4000),
      }),
    },
    {
      weight: 4,
      arbitrary: fc.record({
        what: fc.constant('wait' as const),
        for: fc.constantFrom(1, 400, 600, 3000, 9000),
      }),
    },
    { weight: 1, arbitrary: fc.record({ what: fc.constant('kill' as const) }) },
  ),
  { minLength: 4, maxLength: 30 },
);

/** Each window types into a field of its own, so that nothing that is typed is meant to go over anything. */
const fieldOf: readonly ((document: ProjectDocument) => string)[] = [
  ({ name }) => name,
  ({ box }) => box.papers[0].name,
];

/** Everything that was typed, ticked and told, to be looked for at the end. */
class Told {
  readonly typed = new Map<string, { window: number; box: BoxId; value: string }>();
  readonly ticked: { box: BoxId; step: string; count: number }[] = [];
  readonly tools = new Map<number, string>();
  #serial = 0;

  next(): string {
    this.#serial += 1;
    return String(this.#serial);
  }
}

/** Something that takes its time: the longest that the network may take. */
async function inTime<Outcome>(doing: Promise<Outcome>): Promise<Outcome> {
  await vi.advanceTimersByTimeAsync(25_000);
  return doing;
}

async function open(window: Pinia, box: BoxId): Promise<void> {
  setActivePinia(window);
  await inTime(Promise.all([useProject().open(box), useMaking().open(box)]));
}

/** Opens all windows anew, which go on with what was left. */
async function reopen(windows: Pinia[]): Promise<void> {
  browser.killWindows();
  for (const [i] of windows.entries()) {
    windows[i] = browser.openWindow();
    await inTime(useKeeping().takeUp());
  }
}

async function act(deed: Deed, windows: Pinia[], told: Told): Promise<void> {
  const { server } = browser;
  if (deed.what === 'network') {
    server.network = deed.is;
    server.delay = deed.delay;
    return;
  }
  if (deed.what === 'wait') {
    await vi.advanceTimersByTimeAsync(deed.for);
    return;
  }
  if (deed.what === 'kill') {
    await reopen(windows);
    return;
  }
  const window = windows[deed.window];
  if (!window) return;
  setActivePinia(window);
  const project = useProject();
  if (deed.what === 'open') await open(window, deed.box);
  const box = boxes.find((each) => each === project.id);
  if (deed.what === 'type' && box && project.document) {
    const value = `${box} ${told.next()}`;
    if (deed.window === 0) project.change('name', (whole) => ({ ...whole, name: value }));
    else {
      const [first, ...rest] = project.document.box.papers;
      project.changeBox('paper', { papers: [{ ...first, name: value }, ...rest] });
    }
    told.typed.set(`${String(deed.window)} ${box}`, { window: deed.window, box, value });
  }
  if (deed.what === 'tick' && box) {
    const making = useMaking();
    const step = making.step;
    if (!step || making.id !== box || making.state === 'opening') return;
    making.finish(1);
    told.ticked.push({ box, step: step.id, count: making.progress.done[step.id] ?? 0 });
  }
  if (deed.what === 'tool') {
    const tools = useToolbox();
    await inTime(tools.open());
    const kept = drawerOf(tools.toolbox, 'boards')[deed.window];
    if (!tools.isHere || kept?.kind !== 'boards') return;
    const name = `Board ${told.next()}`;
    tools.change(kept, { name });
    told.tools.set(deed.window, name);
  }
}

/** Whether a value is where its maker finds it: on the server, or shown to them to choose. */
async function isKept(windows: readonly Pinia[], box: BoxId, value: string): Promise<boolean> {
  const onServer = browser.server.boxes.get(box)?.value;
  if (onServer && fieldOf.some((field) => field(onServer) === value)) return true;
  for (const window of windows) {
    setActivePinia(window);
    const standing = (await useKeeping().boxes).keeper.replica(box)?.standing;
    if (
      standing?.kind === 'conflict' &&
      standing.clashes.some(({ mine, theirs }) => mine === value || theirs === value)
    )
      return true;
  }
  return false;
}

/** Whether a window shows its maker this name of a tool, to choose between it and another one. */
function isAskedAbout(windows: readonly Pinia[], name: string): boolean {
  return windows.some((window) => {
    setActivePinia(window);
    const words = useToolbox().clashes.flatMap(({ fields }) => fields);
    return words.some(({ mine, theirs }) => mine === name || theirs === name);
  });
}

describe('two windows, a network that is cut and slow, and pages that are killed', () => {
  it('lose nothing that was typed, ticked or told, and put nothing into another box', async () => {
    await fc.assert(
      fc.asyncProperty(deeds, async (all) => {
        vi.useFakeTimers();
        browser = newBrowser();
        const { server } = browser;
        const fresh = newProject('inch');
        for (const box of boxes)
          server.boxes.set(box, {
            revision: 1,
            value: {
              ...fresh,
              name: `${box} 0`,
              box: { ...fresh.box, papers: [{ ...stockPaper('dusk'), name: `${box} 0` }] },
            },
          });
        const told = new Told();
        const windows = [browser.openWindow(), browser.openWindow()];
        for (const window of windows) await open(window, 'sundial');
        for (const deed of all) {
          await act(deed, windows, told);
          for (const box of boxes) {
            const document = server.boxes.get(box)?.value;
            // Everything that is typed names the box that it is typed for.
            for (const field of fieldOf)
              expect(document && field(document).startsWith(box)).toBe(true);
          }
        }
        server.network = 'up';
        server.delay = 0;
        await vi.advanceTimersByTimeAsync(60_000);
        await reopen(windows);
        for (const window of windows) {
          setActivePinia(window);
          await inTime(useToolbox().refresh());
        }
        await vi.advanceTimersByTimeAsync(60_000);

        for (const { box, value } of told.typed.values())
          expect([value, await isKept(windows, box, value)]).toEqual([value, true]);
        for (const { box, step, count } of told.ticked) {
          const facts = server.progress.get(box);
          expect(facts && progressOf(facts).done[step]).toBeGreaterThanOrEqual(count);
        }
        const tools = [...(server.items.get('tools')?.values() ?? [])].map(({ value }) =>
          toolItemSchema.parse(value),
        );
        for (const name of told.tools.values()) {
          const onServer = tools.some((item) => 'tool' in item && item.tool.name === name);
          expect([name, onServer || isAskedAbout(windows, name)]).toEqual([name, true]);
        }
        browser.killWindows();
      }),
      { numRuns: Number(import.meta.env.VITE_MODEL_RUNS ?? 150) },
    );
  });
});
