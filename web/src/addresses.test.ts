import fc from 'fast-check';
import { expect, test } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { addresses, boxAt, viewAt } from './addresses.ts';

const router = createRouter({
  history: createMemoryHistory(),
  routes: Object.entries(addresses).map(([name, path]) => ({ name, path, component: {} })),
});

test('the view of a path is told as the router will find it', () => {
  const part = fc.constantFrom('box', 'kit', 'papers', 'kept', 'make', 'compare', 'print', 'x');
  const other = fc.array(part, { maxLength: 4 }).map((parts) => `/${parts.join('/')}`);
  const own = fc
    .record({ address: fc.constantFrom(...Object.values(addresses)), id: fc.uuid() })
    .map(({ address, id }) => address.replace(':id', id).replace(':path(.*)*', 'nothing/here'));
  fc.assert(
    fc.property(fc.oneof(own, other), (path) => {
      const found = router.resolve(path);
      expect(viewAt(path), path).toBe(found.name);
      if (found.params.id !== undefined) expect(boxAt(path)).toBe(found.params.id);
    }),
  );
});
