import { genericCornerBoards, inchFraction, type CornerBoard, type NamedMark } from '@rangoli/core';
import { mount } from '@vue/test-utils';
import PrimeVue from 'primevue/config';
import { describe, expect, it } from 'vitest';
import MarksTable from './MarksTable.vue';

const [shipped] = genericCornerBoards;
if (!shipped) throw new Error('A corner board is shipped');

/** The table with a parent that takes every table that comes, as the toolbox does. */
function table(board: CornerBoard) {
  const wrapper = mount(MarksTable, {
    global: { plugins: [PrimeVue] },
    props: {
      board,
      onChange: (marks: readonly NamedMark[]) =>
        void wrapper.setProps({ board: { ...board, marks: [...marks] } }),
    },
  });
  const taken = () =>
    (wrapper.emitted<[readonly NamedMark[]]>('change') ?? []).map(([each]) => each);
  const at = (name: string) => wrapper.get(`input[aria-label="Mark ${name} is at"]`);
  return { wrapper, taken, at };
}

describe('the table of a corner board’s marks', () => {
  it('keeps what is mistyped, says what is wrong, and takes nothing until it is right', async () => {
    const { wrapper, taken, at } = table(shipped);
    await at('C').setValue('3/8');
    expect(wrapper.get('[role=alert]').text()).toContain('doesn’t lie beyond “B” at 3/4 in');
    await at('C').setValue('something');
    expect(wrapper.findAll('[role=alert]')).toHaveLength(1);
    expect(taken()).toEqual([]);
    await at('C').setValue('7/8');
    expect(wrapper.findAll('[role=alert]')).toHaveLength(0);
    expect(taken().at(-1)?.[2]).toEqual({ name: 'C', at: inchFraction(7, 8) });
  });

  it('takes a mark more once it has a name and a place, and one less at once', async () => {
    const { wrapper, taken } = table(shipped);
    const buttons = () => wrapper.findAll('button');
    await buttons().at(-1)?.trigger('click');
    expect(taken()).toEqual([]);
    const inputs = wrapper.findAll('input');
    await inputs.at(-2)?.setValue('J');
    await inputs.at(-1)?.setValue('4 1/2');
    expect(taken().at(-1)?.at(-1)).toEqual({ name: 'J', at: inchFraction(9, 2) });
    // From both sides it would leave nothing of the sheet.
    await inputs.at(-1)?.setValue('6');
    expect(wrapper.get('[role=alert]').text()).toContain('lies outside the sheet');
    await wrapper.get('button[aria-label="Remove mark J"]').trigger('click');
    expect(taken().at(-1)).toEqual(shipped.marks);
  });
});
