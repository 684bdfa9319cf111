import {
  allStyles,
  cutSizeOf,
  cutUnit,
  formatLength,
  millimetres,
  scoringMeans,
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
import { anyBox } from '../testing/any-box.ts';
import CutCard from './CutCard.vue';
import StyleControl from './StyleControl.vue';

const anyOption: PropType<StyleOption> = Object;

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
      fc.asyncProperty(anyBox, async ({ plan, request }) => {
        const wrapper = card(plan, request);
        const unit = cutUnit(request.kit);
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
          const { diagonalBoard, cornerBoard } = request.kit;
          const board = scoringMeans(request.kit) ?? request.kit.board;
          const punched = { diagonal: diagonalBoard, corner: cornerBoard };
          const own = plan.steps.flatMap((step): readonly string[] => {
            if (step.piece !== piece.id) return [];
            if (step.kind === 'score') return [formatLength(step.reading, board.unit)];
            if (step.kind !== 'punch' || step.setting.kind !== 'mark') return [];
            return [formatLength(step.setting.at, punched[step.board]?.unit ?? board.unit)];
          });
          const marks = article()
            .findAll('.strip .mark')
            .map((mark) => shown(mark.text()));
          expect([...marks].sort()).toEqual(own.map(shown).sort());
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
