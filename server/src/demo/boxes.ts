import {
  evenRoom,
  inches,
  inchFraction,
  millimetres,
  stockPaper,
  usualRequest,
  type Gift,
  type Length,
  type ProjectDocument,
  type StyleChoice,
} from '@rangoli/core';

interface DemoBox {
  readonly name: string;
  readonly gift: Gift;
  readonly base: string;
  readonly lid: string;
  readonly room?: Length;
  readonly options?: StyleChoice['options'];
}

/** The observatory's open night, from the last made box to the first on the shelf. */
const openNight: readonly DemoBox[] = [
  {
    name: 'Night tea tin',
    gift: { shape: 'block', across: inches(3), deep: inches(2), high: inches(3.75) },
    base: 'graphite',
    lid: 'comet',
    options: { lidDepth: 'half', tabsOn: 'sides' },
  },
  {
    name: 'Hand lens',
    gift: { shape: 'block', across: inches(4.25), deep: inches(1.75), high: inchFraction(5, 8) },
    base: 'comet',
    lid: 'dusk',
  },
  {
    name: 'Moon-phase top',
    gift: {
      shape: 'cylinder',
      diameter: millimetres(44),
      length: millimetres(38),
      lies: 'standing',
    },
    base: 'eggshell',
    lid: 'comet',
    room: inchFraction(1, 4),
    options: { lidDepth: 'half', tabsOn: 'sides' },
  },
  {
    name: 'Eclipse glasses',
    gift: { shape: 'block', across: inches(6), deep: inches(2.25), high: inchFraction(1, 4) },
    base: 'sodium',
    lid: 'star-trails',
    options: { lidDepth: 'full', tabsOn: 'front and back' },
  },
  {
    name: 'Rolled star chart',
    gift: { shape: 'cylinder', diameter: inches(1.25), length: inches(8.5), lies: 'lying' },
    base: 'dusk',
    lid: 'orbits',
  },
  {
    name: 'Planet marbles, nine in a row',
    gift: {
      shape: 'block',
      across: millimetres(144),
      deep: millimetres(16),
      high: millimetres(16),
    },
    base: 'orbits',
    lid: 'eggshell',
    room: inchFraction(1, 32),
  },
  {
    name: 'Meteorite jar',
    gift: {
      shape: 'cylinder',
      diameter: inches(1.75),
      length: inches(2.125),
      lies: 'standing',
    },
    base: 'graphite',
    lid: 'sodium',
    room: inchFraction(3, 8),
  },
  {
    name: 'Pocket sundial, open night',
    gift: {
      shape: 'block',
      across: inchFraction(37, 16),
      deep: inchFraction(37, 16),
      high: inchFraction(9, 16),
    },
    base: 'dusk',
    lid: 'sodium',
  },
];

/** The demo shelf as project documents, in the order in which they were made. */
export function demoProjects(): readonly ProjectDocument[] {
  return openNight.map(({ name, gift, base, lid, room, options }) => {
    const usual = usualRequest(gift, 'inch');
    return {
      version: 1,
      name,
      box: {
        ...usual,
        papers: { base: stockPaper(base), lid: stockPaper(lid) },
        room: room === undefined ? usual.room : evenRoom(room),
        style: options ? { ...usual.style, options } : usual.style,
      },
    };
  });
}
