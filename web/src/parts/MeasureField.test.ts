import {
  inches,
  inchFraction,
  millimetres,
  nanometres,
  type Length,
  type Unit,
} from '@rangoli/core';
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import MeasureField from './MeasureField.vue';

beforeEach(() => {
  sessionStorage.clear();
  setActivePinia(createPinia());
});

/** The field with a parent that takes every length that comes, as the document does. */
function field(length: Length, unit: Unit = 'inch') {
  const wrapper = mount(MeasureField, {
    global: { plugins: [PrimeVue] },
    props: {
      field: 'x gift.across',
      label: 'Width',
      length,
      unit,
      least: millimetres(3),
      most: inches(20),
      onChange: (taken: Length) => void wrapper.setProps({ length: taken }),
    },
  });
  const input = wrapper.get('input');
  const taken = () => (wrapper.emitted<[Length]>('change') ?? []).map(([each]) => each);
  return { wrapper, input, taken };
}

describe('a measure’s field', () => {
  it('takes each length as it is typed, and keeps the typing until it is left', async () => {
    const { input, taken } = field(inches(2));
    await input.setValue('3');
    await input.setValue('3 1/2');
    expect(taken()).toEqual([inches(3), inches(3.5)]);
    await input.setValue('3.50 in');
    expect(input.element.value).toBe('3.50 in');
    await input.trigger('blur');
    expect(input.element.value).toBe('3 1/2');
  });

  it('keeps what can’t be taken as typed, with the reason, until the length changes elsewhere', async () => {
    const { wrapper, input, taken } = field(inches(2));
    await input.setValue('two');
    await input.trigger('blur');
    expect(input.element.value).toBe('two');
    expect(input.attributes('aria-invalid')).toBe('true');
    expect(wrapper.get('[role=alert]').text()).toBe(
      'This is not a length. Type one like 4 7/8 or 124 mm.',
    );
    expect(wrapper.get(`#${input.attributes('aria-describedby') ?? ''}`).text()).not.toBe('');
    await input.setValue('21');
    expect(wrapper.get('[role=alert]').text()).toBe('Width can be at most 20 in.');
    expect(taken()).toEqual([]);
    await wrapper.setProps({ length: inches(4) });
    expect(input.element.value).toBe('4');
    expect(wrapper.find('[role=alert]').exists()).toBe(false);
  });

  it('steps onto its own marks and stays within its limits', async () => {
    const { input, taken } = field(nanometres(50_900_000));
    await input.trigger('keydown', { key: 'ArrowUp' });
    expect(taken().at(-1)).toBe(inchFraction(33, 16));
    for (let i = 0; i < 400; i++) await input.trigger('keydown', { key: 'ArrowDown' });
    expect(taken().at(-1)).toBe(millimetres(3));
    await nextTick();
    expect(input.element.value).toBe('3 mm');
  });

  it('shows a length in its own unit and never a rounded one in the other', () => {
    expect(field(millimetres(74)).input.element.value).toBe('74 mm');
    expect(field(inches(2), 'mm').input.element.value).toBe('50.8');
  });
});
