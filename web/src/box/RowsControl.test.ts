import { millimetres, type Rows, type SeveralGift } from '@rangoli/core';
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import RowsControl from './RowsControl.vue';

beforeEach(() => {
  sessionStorage.clear();
  setActivePinia(createPinia());
});

/** Marbles in rows; each call gives a gift of its own, as each answer of the server does. */
const marbles = ({ across, deep, high }: Rows): SeveralGift => ({
  shape: 'several',
  item: { shape: 'ball', diameter: millimetres(25) },
  across,
  deep,
  high,
  packing: 'in rows',
});

/** The three counts, with a parent that takes what is set, as the document does. */
function control(rows: Rows) {
  const wrapper = mount(RowsControl, {
    global: { plugins: [PrimeVue] },
    props: {
      gift: marbles(rows),
      rows,
      project: 'x',
      onRows: (taken: Rows) => void wrapper.setProps({ rows: taken, gift: marbles(taken) }),
    },
  });
  const input = (way: keyof Rows) =>
    wrapper.get<HTMLInputElement>(`[aria-label="How many ${way}"]`);
  return { wrapper, input };
}

/** Types into a field as a hand does: the field isn't left yet. */
async function type(input: ReturnType<ReturnType<typeof control>['input']>, text: string) {
  input.element.value = text;
  await input.trigger('input');
}

async function leave(input: ReturnType<ReturnType<typeof control>['input']>) {
  await input.trigger('change');
  await input.trigger('blur');
}

describe('how many go in together', () => {
  it('keeps what is being typed while the box is drawn anew, and takes it when the field is left', async () => {
    const { wrapper, input } = control({ across: 3, deep: 3, high: 1 });
    await type(input('deep'), '2');
    await wrapper.setProps({ gift: marbles({ across: 3, deep: 3, high: 1 }) });
    wrapper.vm.$forceUpdate();
    await nextTick();
    expect(input('deep').element.value).toBe('2');
    await leave(input('deep'));
    expect(wrapper.emitted('rows')).toEqual([[{ across: 3, deep: 2, high: 1 }]]);
    expect(input('deep').element.value).toBe('2');
  });

  it('gives way to a count that is changed elsewhere while another one is typed', async () => {
    const { wrapper, input } = control({ across: 3, deep: 3, high: 1 });
    await type(input('deep'), '2');
    await wrapper.setProps({ rows: { across: 3, deep: 4, high: 1 } });
    expect(input('deep').element.value).toBe('4');
  });

  it('keeps what can’t be taken, with the reason, and takes nothing', async () => {
    const { wrapper, input } = control({ across: 3, deep: 3, high: 1 });
    await type(input('high'), '0');
    await leave(input('high'));
    expect(input('high').element.value).toBe('0');
    expect(wrapper.get('[role=alert]').text()).toContain('How many high: a whole number from 1 to');
    expect(wrapper.emitted('rows')).toBeUndefined();
  });
});
