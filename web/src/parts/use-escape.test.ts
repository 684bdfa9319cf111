import fc from 'fast-check';
import { afterEach, expect, test } from 'vitest';
import { effectScope, nextTick, ref } from 'vue';
import { useEscape } from './use-escape.ts';

function press(target: EventTarget = document.body): void {
  target.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
}

const scopes = new Set<ReturnType<typeof effectScope>>();
afterEach(() => {
  for (const scope of scopes) scope.stop();
  scopes.clear();
});

/** Things that can be opened, each in a scope of its own as in a component. */
function things(count: number) {
  return Array.from({ length: count }, () => {
    const isOpen = ref(false);
    const scope = effectScope();
    scope.run(() =>
      useEscape(
        () => isOpen.value,
        () => (isOpen.value = false),
      ),
    );
    scopes.add(scope);
    return { isOpen, scope };
  });
}

test('Escape closes one thing at a time, in the reverse of the order in which they were opened', async () => {
  const step = fc.oneof(
    fc.record({ does: fc.constantFrom('open', 'close', 'leave'), which: fc.nat(3) }),
    fc.constant({ does: 'escape', which: 0 }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 24 }), async (steps) => {
      const all = things(4);
      let order: number[] = [];
      for (const { does, which } of steps) {
        const thing = all[which];
        if (does === 'escape') {
          press();
          order.pop();
        } else if (thing && does === 'leave') {
          thing.scope.stop();
          thing.isOpen.value = false;
          order = order.filter((each) => each !== which);
        } else if (thing && does === 'close') {
          thing.isOpen.value = false;
          order = order.filter((each) => each !== which);
        } else if (thing?.scope.active && !thing.isOpen.value) {
          thing.isOpen.value = true;
          order.push(which);
        }
        await nextTick();
        const open = all.flatMap(({ isOpen }, i) => (isOpen.value ? [i] : []));
        expect(open).toEqual(order.toSorted());
      }
      for (const { scope } of all) scope.stop();
    }),
  );
});

test('Escape in a dialog, or where it was answered already, closes nothing under it', async () => {
  const [thing] = things(1);
  if (!thing) throw new Error('There is nothing to open');
  thing.isOpen.value = true;
  await nextTick();
  const dialog = document.createElement('div');
  dialog.className = 'p-dialog';
  const field = dialog.appendChild(document.createElement('input'));
  const list = document.createElement('ul');
  list.addEventListener('keydown', (event) => event.preventDefault());
  document.body.append(dialog, list);
  press(field);
  list.dispatchEvent(
    new KeyboardEvent('keydown', { key: 'Escape', bubbles: true, cancelable: true }),
  );
  expect(thing.isOpen.value).toBe(true);
  press();
  expect(thing.isOpen.value).toBe(false);
});
