import {
  allStyles,
  cutListEntry,
  cutSizeOf,
  cutUnit,
  flatOperations,
  formatLength,
  millimetres,
  paperFor,
  styleChoiceSchema,
  usualRequest,
  type Kit,
  type Plan,
  type PlanRequest,
  type PunchBoard,
  type Unit,
  type StyleOption,
} from '@rangoli/core';
import { mount } from '@vue/test-utils';
import fc from 'fast-check';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { describe, expect, it } from 'vitest';
import { defineComponent, type PropType } from 'vue';
import { tell } from '../planner/tell.ts';
import { anyBox } from '../testing/any-box.ts';
import CutList from './CutList.vue';
import StyleControl from './StyleControl.vue';

const anyOption: PropType<StyleOption> = Object;

function card(plan: Plan, request: PlanRequest) {
  return mount(CutList, {
    global: { plugins: [createPinia(), PrimeVue] },
    props: { plan, request, told: tell({ plan, request }), stale: false },
  });
}

/** The unit that a punch board is read in. */
function boardUnit(kit: Kit, board: PunchBoard): Unit {
  const found = board === 'diagonal' ? kit.diagonalBoard : kit.cornerBoard;
  return found?.unit ?? cutUnit(kit);
}

/** A length as the screen shows it: whole, numerator and denominator one after the other, rounded or not. */
function shown(text: string): string {
  return text.replace(/[\s\u2044/≈]+/g, '');
}

describe('the cut list', () => {
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
          // Each line of the piece stands on one strip, told from the nearest mark where it is on none.
          const entry = cutListEntry(
            plan,
            piece,
            paperFor(request.papers, piece.paper),
            request.kit,
          );
          const told = entry.strips.flatMap(({ marks }) => marks.flatMap(({ lines }) => lines));
          const readings = plan.marks.find((each) => each.piece === piece.id)?.readings ?? [];
          if (!piece.punchBoard)
            for (const { axis, index } of readings) expect(told).toContainEqual({ axis, index });
          const own = entry.strips.flatMap(({ marks, unit: ruler }) =>
            marks.map(({ reading }) => formatLength(reading, ruler)),
          );
          const punched = flatOperations(piece, [], request.kit).flatMap((operation) =>
            operation.kind === 'punch' && operation.setting.kind === 'mark'
              ? [formatLength(operation.setting.at, boardUnit(request.kit, operation.board))]
              : [],
          );
          const marks = article()
            .findAll('.strip .mark')
            .map((mark) => shown(mark.text()));
          expect([...marks].sort()).toEqual([...own, ...punched].map(shown).sort());
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
        inheritAttrs: false,
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
