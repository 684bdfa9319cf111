import { describe, expect, it } from 'vitest';
import {
  mergeChanges,
  millimetres,
  newPanel,
  planRequestSchema,
  stockPaper,
  usualRequest,
  type PanelChoice,
  type PlanRequest,
} from '../index.ts';
import { sundial } from '../testing/requests.ts';

const panel = newPanel({
  id: 'panel-1',
  on: { which: 'face', face: { piece: 'lid', role: 'lid', faces: 'top' } },
  paper: stockPaper('comet'),
  unit: 'inch',
});

function wearing(...additions: PanelChoice[]): PlanRequest {
  return { ...usualRequest(sundial, 'inch'), additions };
}

function withMargin({ layers: [layer] }: PanelChoice, margin: number): PanelChoice {
  return layer ? { ...panel, layers: [{ ...layer, margin: millimetres(margin) }] } : panel;
}

describe('what a box wears, changed on two tablets', () => {
  const merged = (base: PlanRequest, mine: PlanRequest, theirs: PlanRequest) =>
    mergeChanges(planRequestSchema, { base, mine, theirs });

  it('comes through from both where one changed the margin and the other where it ends', () => {
    const [thin, ending] = [withMargin(panel, 1), { ...panel, underCover: 'ends' as const }];
    const { value, clashes } = merged(wearing(panel), wearing(thin), wearing(ending));
    expect(clashes).toEqual([]);
    expect(value.additions).toEqual([{ ...thin, underCover: 'ends' }]);
  });

  it('is asked about where both put something on, or one moved it and the other put it on all walls', () => {
    const other = { ...panel, id: 'panel-2' };
    expect(merged(wearing(), wearing(panel), wearing(other)).clashes).toMatchObject([
      { path: ['additions'] },
    ]);
    const face = { piece: 'base', role: 'floor', faces: 'bottom' } as const;
    const moved: PanelChoice = { ...panel, on: { which: 'face', face } };
    const walls: PanelChoice = { ...panel, on: { which: 'walls', piece: 'base' } };
    const { value, clashes } = merged(wearing(panel), wearing(moved), wearing(walls));
    expect(clashes).toMatchObject([{ path: ['additions', 0, 'on'] }]);
    expect(value.additions).toEqual([moved]);
  });
});
