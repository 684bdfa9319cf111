<script setup lang="ts">
import {
  assemblyScenes,
  cutoutPlaces,
  faceInWords,
  type AssemblyStep,
  type FaceName,
  type Gift,
  type Papers,
  type PlacedFace,
  type Plan,
} from '@rangoli/core';
import { useObservedSize } from '../parts/use-observed-size.ts';
import { computed, useTemplateRef } from 'vue';
import {
  boundsOfAll,
  drawFaces,
  seenFrom,
  type DrawnFace,
  type View,
} from '../fold/axonometric.ts';
import { flatCorners, foldingBoxOf } from '../fold/box-faces.ts';
import FacesDrawing from '../fold/FacesDrawing.vue';
import { brass, comesFrom, giftFaces, giftPart } from '../fold/gift-faces.ts';
import { looksOf, plainLook } from '../prints/card-look.ts';
import { chooseView, views, type SideToSee } from './choose-view.ts';
import { coveringFaces } from './covering-faces.ts';
import { motionArrows } from './motion-arrows.ts';
import MotionArrow from './MotionArrow.vue';
import { placeNames } from './place-names.ts';
import { ribbonLook } from '../fold/finery.ts';
import {
  liftedParts,
  ribbonFaces,
  ribbonPart,
  ribbonsLaidIn,
  ribbonsOverGift,
} from '../fold/ribbon-faces.ts';
import ThreadDrawing from './ThreadDrawing.vue';
import { useLoopedShare } from './use-looped-share.ts';

/**
 * One operation of an assembly step on the table, over and over: what moves and which way, what takes
 * adhesive, where it goes, and the gift.
 */
const props = defineProps<{
  plan: Plan;
  papers: Papers;
  gift: Gift;
  step: AssemblyStep;
  /** Which of its operations is at hand. */
  at: number;
}>();

const box = computed(() => foldingBoxOf(props.plan, props.papers));
const skin = computed(() => ({
  looks: new Map(looksOf(box.value, props.papers))
    .set(giftPart, plainLook(brass))
    .set(ribbonPart, ribbonLook),
  flatOf: (face: PlacedFace) => flatCorners(box.value, face),
}));
const sceneOf = computed(() => assemblyScenes(box.value, props.step));
const operation = computed(() => props.step.operations[props.at] ?? props.step.operations[0]);

const share = useLoopedShare({
  milliseconds: () => 1800,
  of: () => [props.step.id, props.at],
});

/** A side of a face of a piece: where adhesive is, or where it goes. */
interface GluedSide {
  readonly piece: string;
  readonly face: number;
  readonly side: 'inside' | 'outside';
  readonly name: FaceName;
}

function gluedSides(at: number): {
  readonly adhesive: readonly GluedSide[];
  readonly target: readonly GluedSide[];
} {
  const glued = props.step.operations[at];
  if (glued?.kind === 'glue') {
    const { piece, faces, adhesiveOn, onto, ontoSide } = glued;
    return {
      adhesive: faces.map((name) => ({ piece, face: name.at, side: adhesiveOn, name })),
      target: onto.map((name) => ({ piece, face: name.at, side: ontoSide, name })),
    };
  }
  if (glued?.kind === 'attach') {
    const { piece, onto, joints } = glued;
    return {
      adhesive: joints.map(({ face, adhesiveOn }) => ({
        piece,
        face: face.at,
        side: adhesiveOn,
        name: face,
      })),
      target: joints.map(({ on, onSide }) => ({
        piece: onto,
        face: on.at,
        side: onSide,
        name: on,
      })),
    };
  }
  return { adhesive: [], target: [] };
}
const sides = computed(() => gluedSides(props.at));

function isAmong(
  face: Pick<PlacedFace, 'part' | 'face'>,
  all: readonly GluedSide[],
): GluedSide | undefined {
  const piece = box.value.parts.find(({ part }) => part.id === face.part)?.piece.id;
  return all.find((each) => each.piece === piece && each.face === face.face);
}

/** The view of each operation: the one before keeps, as long as all is seen from there. */
const view = computed((): View => {
  let had: View = views[0];
  for (let at = 0; at <= props.at; at++) {
    const { adhesive, target } = gluedSides(at);
    const toSee = sceneOf.value({ at, share: 0.3 }).faces.flatMap((face): readonly SideToSee[] => {
      const under = isAmong(face, adhesive);
      const glued = under ?? isAmong(face, target);
      // Of a plate and the tabs that wait for it only one is seen: the one with the adhesive.
      const weight = under && props.step.operations[at]?.kind === 'attach' ? 3 : 1;
      return glued ? [{ face, side: glued.side, weight }] : [];
    });
    had = chooseView(had, toSee);
  }
  return had;
});
const isFromBehind = computed(() => Math.abs(view.value.turn) > 90);

/** A ribbon that is put on lies on the closed box, in the open one, or round the gift. */
function tiedOn(
  faces: readonly PlacedFace[],
  given: readonly PlacedFace[],
  at: number,
): readonly PlacedFace[] {
  const tied = props.step.operations[at];
  if (tied?.kind === 'lay ribbon' && tied.ribbon.way === 'notches')
    return ribbonsLaidIn(faces, tied.ribbon);
  if (tied?.kind !== 'tie') return [];
  if (tied.ribbon.way === 'notches') return ribbonsOverGift(given, tied.ribbon);
  return ribbonFaces(faces, tied.ribbon, liftedParts(box.value));
}

function drawnAt(at: number, part: number) {
  const { faces, gift } = sceneOf.value({ at, share: part });
  const given = gift > 0 ? giftFaces(props.gift, view.value, (1 - gift) * comesFrom) : [];
  return drawFaces([...faces, ...given, ...tiedOn(faces, given, at)], skin.value, 6, view.value);
}
const picture = computed(() => drawnAt(props.at, share.value));

/** One frame for the whole step, so that nothing jumps. */
const bounds = computed(() =>
  boundsOfAll(
    props.step.operations.flatMap((_, at) =>
      [0.02, 0.25, 0.5, 0.75, 1].map((part) => drawnAt(at, part)),
    ),
  ),
);

const frame = useTemplateRef('frame');
const { width, height } = useObservedSize(frame);
/** How much of the picture is one pixel of the screen. */
const pixel = computed(() => {
  const scale = Math.min(width.value / bounds.value.width, height.value / bounds.value.height);
  return scale > 0 ? 1 / scale : 0;
});

/** How a face is marked: hatched where its adhesive is seen, dashed where it is behind, or where it goes. */
function markOf(face: DrawnFace): 'adhesive' | 'behind' | 'target' | undefined {
  const adhesive = isAmong(face, sides.value.adhesive);
  if (adhesive) return adhesive.side === face.shows ? 'adhesive' : 'behind';
  return isAmong(face, sides.value.target) ? 'target' : undefined;
}

/** Walls that stand before the adhesive are like glass. */
const seeThrough = computed(() =>
  coveringFaces(picture.value.faces, (face) => markOf(face) === 'adhesive'),
);

/** How large letters are on the screen, in pixels: a small picture has small ones. */
const letters = computed(() => (width.value < 480 ? 13 : 15));

/** The names of the faces that something is glued to: the sentence speaks of them. */
const names = computed(() =>
  placeNames(
    picture.value.faces.flatMap((face) => {
      const target = isAmong(face, sides.value.target);
      return target && !isAmong(face, sides.value.adhesive)
        ? [{ ...face.middle, text: faceInWords(target.name) }]
        : [];
    }),
    {
      line: 1.25 * letters.value * pixel.value,
      letter: 0.56 * letters.value * pixel.value,
      bounds: bounds.value,
    },
  ),
);

/** The ways that parts go, as they are seen. */
const arrows = computed(() => {
  const scenes = [0, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9].map((part) =>
    sceneOf.value({ at: props.at, share: part }),
  );
  return motionArrows(scenes).map((way) => way.map(seenFrom(view.value)));
});

/** What is put through holes just now, and where they are seen. */
const thread = computed(() => {
  const now = operation.value;
  if (now.kind !== 'thread') return undefined;
  const part = box.value.parts.find(({ piece }) => piece.id === now.piece);
  if (!part) return undefined;
  const { faces } = sceneOf.value({ at: props.at, share: 1 });
  const places = cutoutPlaces(part, now.cutouts, faces).map(seenFrom(view.value));
  return { what: now.what, places };
});
</script>

<template>
  <div ref="frame" class="filled-frame">
    <FacesDrawing
      class="drawing"
      :faces="picture.faces"
      :bounds="bounds"
      :see-through="seeThrough"
      role="img"
      aria-label="The box as it is put together"
    >
      <template #over="{ face }">
        <path v-if="markOf(face)" :d="face.path" :class="markOf(face)" fill-rule="evenodd" />
      </template>
      <defs>
        <pattern
          id="adhesive"
          width="2.6"
          height="2.6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" x2="0" y1="0" y2="2.6" />
        </pattern>
      </defs>
      <ThreadDrawing v-if="thread && pixel > 0" v-bind="thread" :pixel="pixel" />
      <template v-if="pixel > 0">
        <text
          v-for="name in names"
          :key="name.text"
          :x="name.x"
          :y="name.y"
          :font-size="letters * pixel"
        >
          {{ name.text }}
        </text>
        <MotionArrow v-for="(way, i) in arrows" :key="i" :way="way" :pixel="pixel" />
      </template>
    </FacesDrawing>
    <p v-if="sides.adhesive.length > 0 || isFromBehind" class="key">
      <template v-if="sides.adhesive.length > 0">
        <span><i class="hatched" />adhesive</span>
        <span><i class="dashed" />where it goes</span>
      </template>
      <span v-if="isFromBehind">seen from the back</span>
    </p>
  </div>
</template>

<style scoped>
path {
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

.adhesive {
  fill: url('#adhesive');
  stroke: var(--turmeric);
  stroke-width: 2.5;
}

.behind,
.target {
  fill: none;
  stroke: var(--turmeric);
  stroke-width: 2;
  stroke-dasharray: 6 5;
}

text {
  fill: #fff;
  font-weight: 600;
  text-anchor: middle;
  dominant-baseline: central;
  paint-order: stroke;
  stroke: var(--line);
  stroke-width: 4px;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

pattern line {
  stroke: var(--turmeric);
  stroke-width: 0.9;
}

.key {
  position: absolute;
  inset: auto auto 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 0;
  font-size: 14px;
  color: #d3e2dd;
}

.key span {
  display: inline-flex;
  align-items: center;
  gap: 7px;
}

.key i {
  width: 22px;
  height: 13px;
  border: 2px solid var(--turmeric);
}

.hatched {
  background: repeating-linear-gradient(135deg, var(--turmeric) 0 1.5px, transparent 1.5px 5px);
}

.dashed {
  border-style: dashed !important;
}
</style>
