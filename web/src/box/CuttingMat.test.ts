import { compareStyles, verdictsOf } from '@rangoli/core';
import { mount } from '@vue/test-utils';
import fc from 'fast-check';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { describe, expect, it } from 'vitest';
import { defineComponent } from 'vue';
import RefusedCard from '../compare/RefusedCard.vue';
import StyleCard from '../compare/StyleCard.vue';
import { anyBox, holes } from '../testing/any-box.ts';
import CuttingMat from './CuttingMat.vue';
import SheetList from './SheetList.vue';
import VerdictBar from './VerdictBar.vue';

/** The folding is drawn elsewhere. */
const nothing = defineComponent({ inheritAttrs: false, render: () => '' });
const global = {
  plugins: [createPinia(), PrimeVue],
  stubs: { FoldView: nothing, AsyncComponentWrapper: nothing },
};

describe('any box on the screen', () => {
  it('is drawn whole on the mat, with every piece named and every score in its place', () => {
    fc.assert(
      fc.property(anyBox, ({ plan, request }) => {
        const mat = mount(CuttingMat, { global, props: { plan, request, stale: false } });
        expect(mat.html()).not.toMatch(holes);
        for (const { name } of plan.pieces) expect(mat.text()).toContain(name);
        mat.unmount();
        const verdicts = verdictsOf(plan, request);
        const bar = mount(VerdictBar, {
          global,
          props: { verdicts, trouble: undefined, hasWays: false },
        });
        expect(bar.html()).not.toMatch(holes);
        expect(bar.findAll('li')).toHaveLength(verdicts.length);
        bar.unmount();
        const sheets = mount(SheetList, { global, props: { plan, request, size: 'large' } });
        expect(sheets.html()).not.toMatch(holes);
        sheets.unmount();
      }),
      { numRuns: 40 },
    );
  });

  it('is compared with every other kind, each drawn whole or with what stands in its way', () => {
    fc.assert(
      fc.property(anyBox, ({ request }) => {
        for (const compared of compareStyles(request)) {
          const chosen = compared.style.id === request.style.style;
          const scaleTo = request.papers[0].sheet.width;
          const card = compared.ok
            ? mount(StyleCard, {
                global,
                props: { compared, request, chosen, largest: undefined, scaleTo },
              })
            : mount(RefusedCard, { global, props: { compared, request, chosen } });
          expect(card.html(), compared.style.id).not.toMatch(holes);
          expect(card.text()).toContain(compared.style.name);
          if (!compared.ok) expect(card.text().replace(/\s+/g, ' ')).toMatch(/[a-z]\./);
          card.unmount();
        }
      }),
      { numRuns: 4 },
    );
  });
});
