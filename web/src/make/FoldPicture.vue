<script setup lang="ts">
import {
  faceInWords,
  sceneAt,
  type AssemblyOperation,
  type FaceName,
  type Papers,
  type Plan,
} from '@rangoli/core';
import { useElementSize, usePreferredReducedMotion, useRafFn } from '@vueuse/core';
import { computed, shallowRef, useTemplateRef, watch } from 'vue';
import { drawFaces, type DrawnFace } from '../fold/axonometric.ts';
import { coloursOf, foldingBoxOf } from '../fold/box-faces.ts';

/**
 * The box while it folds from one stage to another, over and over; half done where motion is unwanted. What
 * takes adhesive is hatched; where it goes has a dashed border and its name.
 */
const props = defineProps<{
  plan: Plan;
  papers: Papers;
  /** Stages of the folding box; the whole way from flat to closed without them. */
  from?: number;
  to?: number;
  operations?: readonly AssemblyOperation[];
}>();

const box = computed(() => foldingBoxOf(props.plan, props.papers));
const colours = computed(() => coloursOf(box.value, props.papers));
const motion = usePreferredReducedMotion();

/** Milliseconds that the stage takes, and that it rests at its end. */
const takes = 1800;
const rests = 1200;
const share = shallowRef(0.6);
let begun: number | undefined;
useRafFn(({ timestamp }) => {
  if (motion.value === 'reduce') return;
  begun ??= timestamp;
  const long = takes * Math.min(3, Math.max(1, end.value - start.value));
  const at = (timestamp - begun) % (long + rests);
  share.value = Math.min(1, at / long);
});
watch(
  () => [props.from, props.to],
  () => {
    begun = undefined;
    share.value = 0.6;
  },
);

const start = computed(() => props.from ?? 0);
const end = computed(() => Math.max(props.to ?? box.value.end, start.value + 1));

/** Only the piece at hand, until pieces come together. */
const alone = computed(() => {
  const kinds = new Set(props.operations?.map(({ kind }) => kind) ?? []);
  const isOwn = !['join', 'attach', 'put in', 'close'].some((kind) =>
    props.operations?.some((each) => each.kind === kind),
  );
  const [first] = props.operations ?? [];
  const isRound = props.operations?.some(
    (each) => each.kind === 'glue' && each.round !== undefined,
  );
  return kinds.size > 0 && isOwn && !isRound ? first?.piece : undefined;
});

function drawnAt(time: number) {
  const { faces } = sceneAt(box.value, time, 0);
  const [only] = box.value.parts.filter((part) => part.piece.id === alone.value);
  const shown = only ? faces.filter(({ part }) => part === only.part.id) : faces;
  return drawFaces(shown, colours.value, 2);
}

function timeAt(part: number): number {
  return start.value + part * (end.value - start.value);
}

/** A side of a face of a piece: where adhesive is, or where it goes. */
interface GluedSide {
  readonly piece: string;
  readonly face: number;
  readonly side: 'inside' | 'outside';
  readonly name: FaceName;
}

const sides = computed(() => {
  const adhesive: GluedSide[] = [];
  const target: GluedSide[] = [];
  for (const operation of props.operations ?? []) {
    if (operation.kind === 'glue') {
      const { piece, faces, adhesiveOn, onto, ontoSide } = operation;
      adhesive.push(...faces.map((name) => ({ piece, face: name.at, side: adhesiveOn, name })));
      target.push(...onto.map((name) => ({ piece, face: name.at, side: ontoSide, name })));
    }
    if (operation.kind === 'attach')
      for (const { face, adhesiveOn, on, onSide } of operation.joints) {
        adhesive.push({ piece: operation.piece, face: face.at, side: adhesiveOn, name: face });
        target.push({ piece: operation.onto, face: on.at, side: onSide, name: on });
      }
  }
  return { adhesive, target };
});

function isAmong(face: DrawnFace, all: readonly GluedSide[]): GluedSide | undefined {
  const piece = box.value.parts.find(({ part }) => part.id === face.part)?.piece.id;
  return all.find((each) => each.piece === piece && each.face === face.face);
}

/** How a face is marked: hatched where its adhesive is seen, dashed where it is behind, or where it goes. */
function markOf(face: DrawnFace): 'adhesive' | 'behind' | 'target' | undefined {
  const adhesive = isAmong(face, sides.value.adhesive);
  if (adhesive) return adhesive.side === face.shows ? 'adhesive' : 'behind';
  return isAmong(face, sides.value.target) ? 'target' : undefined;
}

/** One frame for the whole stage, so that nothing jumps. */
const viewBox = computed(() => {
  const boxes = [0, 0.25, 0.5, 0.75, 1].map((part) =>
    drawnAt(timeAt(part)).viewBox.split(' ').map(Number),
  );
  const least = (at: number) => Math.min(...boxes.map((each) => each[at] ?? 0));
  const most = (at: number, size: number) =>
    Math.max(...boxes.map((each) => (each[at] ?? 0) + (each[size] ?? 0)));
  const [x, y] = [least(0), least(1)];
  return `${x} ${y} ${most(0, 2) - x} ${most(1, 3) - y}`;
});
const picture = computed(() => drawnAt(timeAt(share.value)));

const frame = useTemplateRef('frame');
const { width, height } = useElementSize(frame);
/** How large letters are in the picture to be so high on the screen. */
const letters = computed(() => {
  const [, , wide = 1, high = 1] = viewBox.value.split(' ').map(Number);
  const scale = Math.min(width.value / wide, height.value / high);
  return scale > 0 ? 15 / scale : 0;
});

/** The names of the faces that something is glued to: the sentence speaks of them. */
const names = computed(() =>
  picture.value.faces.flatMap((face) => {
    const target = isAmong(face, sides.value.target);
    return target && !isAmong(face, sides.value.adhesive)
      ? [{ ...face.middle, text: faceInWords(target.name) }]
      : [];
  }),
);
</script>

<template>
  <div ref="frame" class="frame">
    <svg :viewBox="viewBox" role="img" aria-label="The box as it is put together">
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
      <template v-for="(face, i) in picture.faces" :key="i">
        <path :d="face.path" :fill="face.fill" fill-rule="evenodd" />
        <path v-if="markOf(face)" :d="face.path" :class="markOf(face)" fill-rule="evenodd" />
      </template>
      <text
        v-for="name in letters > 0 ? names : []"
        :key="name.text"
        :x="name.x"
        :y="name.y"
        :font-size="letters"
      >
        {{ name.text }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  height: 100%;
}

svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}

path {
  stroke: var(--ink);
  stroke-width: 1;
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
  stroke: var(--ink);
  stroke-width: 4px;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

pattern line {
  stroke: var(--turmeric);
  stroke-width: 0.9;
}
</style>
