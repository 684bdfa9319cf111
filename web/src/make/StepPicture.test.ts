import { papersOf, planJob, sayStep, sheetsFor } from '@rangoli/core';
import { mount } from '@vue/test-utils';
import fc from 'fast-check';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { describe, expect, it } from 'vitest';
import { anyBox, holes } from '../testing/any-box.ts';
import StepPicture from './StepPicture.vue';
import { momentsOf } from './moments.ts';

describe('the picture of a step', () => {
  it('is there for every step of any job, and drawn whole', () => {
    fc.assert(
      fc.property(anyBox, fc.integer({ min: 1, max: 7 }), ({ plan, request }, boxes) => {
        const job = planJob(plan, request, { boxes });
        const sheets = sheetsFor(plan, papersOf(request), boxes);
        for (const step of job.steps) {
          const said = sayStep(step, { job, box: plan, kit: request.kit });
          const pictures = Math.max(1, momentsOf(step).length);
          for (let at = 0; at < pictures; at++) {
            const picture = mount(StepPicture, {
              global: { plugins: [createPinia(), PrimeVue] },
              props: { plan, request, job, sheets, step, at },
            });
            expect(picture.find('svg').exists(), said.line).toBe(true);
            expect(picture.html(), said.line).not.toMatch(holes);
            // Adhesive and where it goes are marked in space, whichever side is seen.
            const operation = step.kind === 'assembly' ? step.operations[at] : undefined;
            if (operation?.kind === 'glue' || operation?.kind === 'attach') {
              expect(picture.findAll('.adhesive, .behind').length, said.line).toBeGreaterThan(0);
              expect(picture.findAll('.target').length, said.line).toBeGreaterThan(0);
            }
            picture.unmount();
          }
          // What is told moment by moment is all that is told.
          const told = said.passages.flatMap(({ at: passage }) => passage ?? []);
          if (step.kind === 'assembly') expect(told).toEqual(step.operations.map((_, at) => at));
          expect(said.passages.map(({ text }) => text).join(' ')).toBe(said.text);
        }
      }),
      { numRuns: 15 },
    );
  });
});
