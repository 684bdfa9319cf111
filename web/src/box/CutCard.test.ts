import {
  allStyles,
  cutSizeOf,
  formatLength,
  kitOf,
  genericBoards,
  genericTrimmers,
  millimetres,
  planBox,
  styleChoiceSchema,
  usualRequest,
  type Plan,
  type PlanRequest,
  type StyleOption,
} from '@rangoli/core';
import { mount } from '@vue/test-utils';
import fc from 'fast-check';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { describe, expect, it } from 'vitest';
import { defineComponent, type PropType } from 'vue';
import CutCard from './CutCard.vue';
import StyleControl from './StyleControl.vue';

const side = fc.integer({ min: 10, max: 90 }).map(millimetres);
const gift = fc.record({
  shape: fc.constant('block' as const),
  across: side,
  deep: side,
  high: fc.integer({ min: 5, max: 50 }).map(millimetres),
});
const kit = fc.record({
  trimmer: fc.constantFrom(...genericTrimmers),
  board: fc.constantFrom(...genericBoards),
});

const anyOption: PropType<StyleOption> = Object;

/** Any kind of box that comes out, planned. */
const planned = fc
  .tuple(gift, kit, fc.constantFrom(...allStyles), fc.constantFrom('inch' as const, 'mm' as const))
  .map(([of, tools, style, unit]) => {
    const request: PlanRequest = {
      ...usualRequest(of, unit),
      kit: kitOf(tools),
      style: style.usual,
    };
    const result = planBox(request);
    return result.ok ? { request, plan: result.plan } : undefined;
  })
  .filter((box) => box !== undefined);

function card(plan: Plan, request: PlanRequest) {
  return mount(CutCard, {
    global: { plugins: [createPinia(), PrimeVue] },
    props: { plan, request, stale: false },
  });
}

/** A length as the screen shows it: whole, numerator and denominator one after the other, rounded or not. */
function shown(text: string): string {
  return text.replace(/[\s\u2044/≈]+/g, '');
}

describe('the cut card', () => {
  it('tells each piece’s size, its number, and every mark of the piece in hand, and no other', async () => {
    await fc.assert(
      fc.asyncProperty(planned, async ({ plan, request }) => {
        const wrapper = card(plan, request);
        const { unit } = request.kit.trimmer;
        for (const piece of plan.pieces) {
          const article = () => wrapper.get(`[data-piece="${piece.id}"]`);
          const { width, height } = cutSizeOf(piece.grid);
          expect(shown(article().get('.size').text())).toContain(
            shown(`${formatLength(width, unit)}×${formatLength(height, unit)}`),
          );
          expect(article().get('.cut').text()).toBe(
            `${unit === 'inch' ? 'in' : 'mm'}, cut ${String(piece.copies)}`,
          );
          const name = article().find('h2 button');
          if (name.exists()) await name.trigger('click');
          const own = plan.steps.flatMap((step) =>
            step.kind === 'score' && step.piece === piece.id ? [step] : [],
          );
          const ruler = request.kit.board.unit;
          const marks = article()
            .findAll('.strip .mark')
            .map((mark) => shown(mark.text()));
          expect([...marks].sort()).toEqual(
            own.map(({ reading }) => shown(formatLength(reading, ruler))).sort(),
          );
        }
        wrapper.unmount();
      }),
      { numRuns: 30 },
    );
  });
});

describe('the options of a kind of box', () => {
  it('are all there, and each sets itself to what was chosen and nothing else', () => {
    for (const style of allStyles) {
      const request: PlanRequest = {
        ...usualRequest({ shape: 'ball', diameter: millimetres(40) }, 'inch'),
        style: style.usual,
      };
      const sets = new Map<string, (value: string | number | boolean) => void>();
      const OptionControl = defineComponent({
        props: {
          option: { type: anyOption, required: true },
          value: { type: [String, Number, Boolean], required: true },
        },
        emits: ['change'],
        setup({ option, value }, { emit }) {
          expect(value).toBe(
            Object.entries(style.usual.options).find(([key]) => key === option.key)?.[1],
          );
          sets.set(option.key, (chosen) => {
            emit('change', chosen);
          });
          return () => option.label;
        },
      });
      const wrapper = mount(StyleControl, {
        global: {
          plugins: [createPinia(), PrimeVue],
          stubs: { RouterLink: true, BoxPicture: true, OptionControl },
        },
        props: { request, plan: undefined, project: 'x' },
      });
      expect([...sets.keys()]).toEqual(style.options.map(({ key }) => key));
      for (const option of style.options) {
        const values =
          option.kind === 'choice'
            ? option.values.map(({ value }) => value)
            : option.kind === 'switch'
              ? [true, false]
              : [option.least, option.most];
        for (const value of values) {
          sets.get(option.key)?.(value);
          const [choice] = wrapper.emitted<[PlanRequest['style'], string]>('style')?.at(-1) ?? [];
          expect(styleChoiceSchema.parse(choice)).toEqual({
            ...style.usual,
            options: { ...style.usual.options, [option.key]: value },
          });
        }
      }
      wrapper.unmount();
    }
  });
});
