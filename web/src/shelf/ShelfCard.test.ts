import { newProject } from '@rangoli/core';
import { mount, RouterLinkStub } from '@vue/test-utils';
import { beforeEach, expect, it, vi } from 'vitest';
import ShelfCard from './ShelfCard.vue';

/** A card that has not come into sight is not planned. */
class NothingInSight {
  readonly observe = vi.fn();
  readonly disconnect = vi.fn();
}

beforeEach(() => {
  vi.stubGlobal('IntersectionObserver', NothingInSight);
  document.body.innerHTML = `<div id="first-sight"><ul class="shelf"><li class="card"><a href="/box/x"
    ><span class="mat"><svg></svg></span><span class="text">Sundial, as drawn</span></a></li></ul></div>`;
});

function card(id: string) {
  const document = { ...newProject('inch'), name: 'Sundial, as listed' };
  const project = { id, revision: 1, updatedAt: '', document };
  const wrapper = mount(ShelfCard, {
    props: { project },
    global: { stubs: { RouterLink: RouterLinkStub } },
  });
  return { wrapper, project };
}

it('a box is shown as the server has drawn it, until it is another one', async () => {
  const { wrapper, project } = card('x');
  document.getElementById('first-sight')?.remove();
  expect(wrapper.text()).toContain('Sundial, as drawn');
  expect(wrapper.text()).not.toContain('as listed');
  expect(wrapper.find('.mat svg').exists()).toBe(true);
  await wrapper.setProps({ project: { ...project, revision: 2 } });
  expect(wrapper.text()).toContain('Sundial, as listed');
  expect(wrapper.text()).not.toContain('as drawn');
});

it('a box that the server has not drawn is named, and what it holds', () => {
  const { wrapper } = card('y');
  expect(wrapper.text()).toContain('Sundial, as listed');
  expect(wrapper.text()).toContain('holds');
});
