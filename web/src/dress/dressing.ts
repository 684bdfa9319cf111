import {
  chosenFrom,
  inchFraction,
  isSameFace,
  millimetres,
  newPanel,
  papersOf,
  windowFilm,
  withLayer,
  withOption,
  type AdditionChoice,
  type FaceChoice,
  type LeftOff,
  type OverTop,
  type PanelChoice,
  type Paper,
  type RibbonChoice,
  type SpotChoice,
  type TagChoice,
  type WindowChoice,
  type WindowPlace,
  type WireChoice,
} from '@rangoli/core';
import { watchDebounced } from '@vueuse/core';
import { defineStore } from 'pinia';
import { v4 as newId } from 'uuid';
import { computed, shallowRef } from 'vue';
import { searcher } from '../planner/planner.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';
import type { WearableFace } from '../planner/wearable-faces.ts';
import { usePapers } from '../stores/papers.ts';
import { useProject } from '../stores/project.ts';
import { things, type Thing } from './things.ts';

/** Something that is all of one paper. */
export type OfOnePaper = Exclude<
  AdditionChoice,
  PanelChoice | RibbonChoice | SpotChoice | TagChoice | WindowChoice | WireChoice
>;

/** So long a measure has to rest before the faces of the box are looked for anew. */
const pause = 200;

/** What the open box wears, and where something more may be put on. */
export const useDressing = defineStore('dressing', () => {
  const project = useProject();
  const papers = usePapers();
  const shown = computed(() => project.shown);
  /** What is shown, once it has rested: nothing at first, when there is more to do than to look for faces. */
  const settled = shallowRef<typeof shown.value>();
  watchDebounced(
    shown,
    (now) => {
      settled.value = now;
    },
    { debounce: pause, immediate: true },
  );

  const { workedOut: wearing } = useWorkedOut(settled, (planned) =>
    searcher((tasks) => tasks.wearingOf(planned)),
  );
  const faces = computed((): readonly WearableFace[] => wearing.value?.result.faces ?? []);
  const additions = computed(
    (): readonly AdditionChoice[] => project.document?.box.additions ?? [],
  );

  /** What of it is not on the box as it is shown, and why. */
  const missing = computed(() => wearing.value?.result.missing ?? []);

  function whyMissing({ id }: AdditionChoice): LeftOff['why'] | undefined {
    return missing.value.find((each) => each.id === id)?.why;
  }

  /** Why something is not on the face that it is meant for, in words. */
  function whyNoFace(choice: AdditionChoice): string | undefined {
    return whyMissing(choice) === undefined
      ? undefined
      : 'This kind of box has no such face: it is left out.';
  }

  function faceOf(choice: FaceChoice): WearableFace | undefined {
    const found = chosenFrom(
      faces.value.map(({ face }) => face),
      choice,
    );
    return found && faces.value.find(({ face }) => face === found);
  }

  /** The faces that an addition lies on. */
  function facesOf(choice: AdditionChoice): readonly WearableFace[] {
    if (choice.addition !== 'panel') return [];
    const { on } = choice;
    if (on.which === 'face') return [faceOf(on.face)].flatMap((face) => face ?? []);
    return faces.value.filter(
      ({ face }) => face.piece === on.piece && face.role === 'wall' && face.isOnLid !== true,
    );
  }

  /** What a face wears. */
  function wornOn(face: FaceChoice): PanelChoice | undefined {
    const panels = additions.value.flatMap((each) => (each.addition === 'panel' ? [each] : []));
    return panels.find((each) => facesOf(each).some((other) => isSameFace(other.face, face)));
  }

  function change(what: string, next: readonly AdditionChoice[]): void {
    project.changeBox(what, { additions: [...next] });
  }

  function replace(what: string, choice: AdditionChoice): void {
    change(
      `${choice.id} ${what}`,
      additions.value.map((each) => (each.id === choice.id ? choice : each)),
    );
  }

  /** A paper that is not that of the face, nor of the layer under it: a print, where the maker has one. */
  function paperOver(taken: readonly string[]): Paper | undefined {
    const others = papers.atHand.filter(({ id }) => !taken.includes(id));
    const chosen = others.find(({ print }) => print !== 'plain') ?? others[0] ?? papers.atHand[0];
    const now = project.document?.box;
    return chosen ? papers.learned(chosen) : now?.papers[0];
  }

  /** Puts a panel on a face, or on all walls of a piece. */
  function putOn(on: PanelChoice['on']): void {
    const box = project.document?.box;
    if (!box) return;
    const paper = paperOver(papersOf(box).map(({ id }) => id));
    if (!paper) return;
    const panel = newPanel({ id: newId(), on, paper, unit: box.unit });
    change(`put on ${panel.id}`, [...additions.value, panel]);
  }

  /** Stamps a face in its middle. */
  function stamp(face: FaceChoice): void {
    const box = project.document?.box;
    if (!box) return;
    const spot: SpotChoice = {
      addition: 'spot',
      id: newId(),
      on: face,
      use: 'stamp',
      at: 'middle',
      inset: box.unit === 'inch' ? inchFraction(1, 2) : millimetres(15),
    };
    change(`put on ${spot.id}`, [...additions.value, spot]);
  }

  /** Where something may be cut through the card: looked for from when somebody asks. */
  const looksForOpenings = shallowRef(false);
  const { workedOut: openings } = useWorkedOut(
    () => (looksForOpenings.value ? settled.value : undefined),
    (planned) => searcher((tasks) => tasks.openingsOf(planned)),
  );
  function lookForOpenings(): void {
    looksForOpenings.value = true;
  }

  /** Where a face may have a window and has none. */
  function windowPlaceOn(face: FaceChoice): WindowPlace | undefined {
    const has = additions.value.some(
      (each) => each.addition === 'window' && isSameFace(each.on, face),
    );
    const places = openings.value?.result.windows ?? [];
    return has ? undefined : places.find((each) => isSameFace(each.face, face));
  }

  /** The ways in which a wire may go over the box, which has none yet. */
  const wires = computed((): readonly OverTop[] =>
    additions.value.some(({ addition }) => addition === 'wire')
      ? []
      : (openings.value?.result.wires ?? []),
  );

  /** Puts a wire through two walls of the box. */
  function putWire(over: OverTop): void {
    const wire: WireChoice = { addition: 'wire', id: newId(), over };
    change(`put on ${wire.id}`, [...additions.value, wire]);
  }

  /** Cuts a window, with film behind it. */
  function openWindow({ face, frame }: WindowPlace): void {
    const box = project.document?.box;
    if (!box) return;
    const hole: WindowChoice = {
      addition: 'window',
      id: newId(),
      on: face,
      opening: { shape: 'straight', frame },
      film: windowFilm,
    };
    change(`put on ${hole.id}`, [...additions.value, hole]);
  }

  /** Covers faces with panels of a paper, each as large as its face. */
  function cover(wanted: readonly FaceChoice[], paper: Paper): void {
    const box = project.document?.box;
    if (!box) return;
    const panels = wanted.map((face) =>
      newPanel({ id: newId(), on: { which: 'face', face }, paper, unit: box.unit }),
    );
    change('cover', [...additions.value, ...panels]);
  }

  /** Puts one more layer on a panel. */
  function addLayer(choice: PanelChoice): void {
    const box = project.document?.box;
    const paper = paperOver(choice.layers.map((each) => each.paper.id));
    if (box && paper) replace('layer', withLayer(choice, paper, box.unit));
  }

  /** Changes one layer of a panel. */
  function changeLayer(
    choice: PanelChoice,
    at: number,
    part: Partial<PanelChoice['layers'][number]>,
  ): void {
    const layers = choice.layers.map((layer, i) => (i === at ? { ...layer, ...part } : layer));
    replace(`layer ${at} ${Object.keys(part).join()}`, { ...choice, layers });
  }

  function removeLayer(choice: PanelChoice, at: number): void {
    if (choice.layers.length === 1) takeOff(choice);
    else replace('fewer layers', { ...choice, layers: choice.layers.filter((_, i) => i !== at) });
  }

  function setUnderCover(choice: PanelChoice, underCover: PanelChoice['underCover']): void {
    replace('cover', { ...choice, underCover });
  }

  /** What can be put on or in the box as a whole, and is not there yet. */
  const more = computed((): readonly Thing[] => {
    const box = project.document?.box;
    return things.filter(
      ({ isFor, isOn }) => box && (isFor?.(box) ?? true) && !isOn(additions.value),
    );
  });

  /** Puts something on the box, or in it. */
  function put({ make }: Thing): void {
    const box = project.document?.box;
    if (!box) return;
    const print = paperOver(papersOf(box).map(({ id }) => id));
    if (!print) return;
    const thing = make({ id: newId(), box, print });
    change(`put on ${thing.id}`, [...additions.value, thing]);
  }

  /** Whether its kind of box has a cover for the flaps underneath, which it does not wear yet. */
  const mayCoverBottom = computed(() => {
    const style = project.document?.box.style;
    return style !== undefined && 'cover' in style.options && !style.options.cover;
  });

  function coverBottom(): void {
    const style = project.document?.box.style;
    if (style) project.changeBox('option cover', { style: withOption(style, 'cover', true) });
  }

  /** Changes the paper of something that has only one. */
  function setPaper(choice: OfOnePaper, paper: Paper): void {
    replace('paper', { ...choice, paper });
  }

  function takeOff({ id }: AdditionChoice): void {
    change(
      `take off ${id}`,
      additions.value.filter((each) => each.id !== id),
    );
  }

  return {
    faces,
    additions,
    whyMissing,
    whyNoFace,
    faceOf,
    facesOf,
    wornOn,
    putOn,
    cover,
    stamp,
    paperOver,
    lookForOpenings,
    windowPlaceOn,
    openWindow,
    wires,
    putWire,
    addLayer,
    changeLayer,
    removeLayer,
    setUnderCover,
    replace,
    more,
    put,
    mayCoverBottom,
    coverBottom,
    setPaper,
    takeOff,
  };
});
