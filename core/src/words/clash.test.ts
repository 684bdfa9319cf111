import { describe, expect, it } from 'vitest';
import { clashInWords, inches, millimetres, newProject, stockPaper } from '../index.ts';

describe('a field that was changed in two places', () => {
  const { box } = newProject('inch');

  it.each([
    {
      path: ['box', 'gift', 'across'],
      mine: inches(2.5),
      theirs: millimetres(60),
      told: { field: 'The gift’s width', mine: '2 1/2 in', theirs: '60 mm' },
    },
    {
      path: ['name'],
      mine: 'Sundial',
      theirs: 'Sundial, mine',
      told: { field: 'The name', mine: 'Sundial', theirs: 'Sundial, mine' },
    },
    {
      path: ['box', 'papers', 1],
      mine: stockPaper('comet'),
      theirs: stockPaper('dusk'),
      told: { field: 'Paper 2', mine: 'Comet', theirs: 'Dusk' },
    },
    {
      path: ['box', 'style', 'options', 'thumbNotches'],
      mine: true,
      theirs: false,
      told: { field: 'The kind of box', mine: 'yes', theirs: 'no' },
    },
    {
      path: [],
      mine: box,
      theirs: box,
      told: { field: 'The box', mine: 'as it is here', theirs: 'as it is there' },
    },
    {
      path: ['box', 'made'],
      mine: [],
      theirs: [{ piece: 'base' }],
      told: { field: 'What is made already', mine: 'nothing', theirs: '1 of them' },
    },
    {
      path: ['box', 'additions'],
      mine: [],
      theirs: [{ addition: 'panel' }],
      told: { field: 'What it wears', mine: 'nothing', theirs: '1 of them' },
    },
  ])('$told.field is told with both values', ({ path, mine, theirs, told }) => {
    expect(clashInWords({ path, mine, theirs }, 'inch')).toEqual(told);
  });
});
