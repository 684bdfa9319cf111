<script setup lang="ts">
import { closedFaces, papersOf, type Plan, type PlanRequest } from '@rangoli/core';
import { PackageOpen, Pause, Play, StepForward } from '@lucide/vue';
import {
  refDebounced,
  TransitionPresets,
  useMediaQuery,
  useRafFn,
  useTransition,
} from '@vueuse/core';
import Slider from 'primevue/slider';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useDressing } from '../dress/dressing.ts';
import { usePointing } from '../dress/pointing.ts';
import { useHighlight } from '../stores/highlight.ts';
import BoxPicture from './BoxPicture.vue';
import { looksOf } from '../prints/card-look.ts';
import { foldingBoxOf } from './box-faces.ts';
import { fineryOf } from './finery.ts';
import type { FoldStage } from './fold-stage.ts';
import { useObservedSize } from '../parts/use-observed-size.ts';
import { hasWebGL, whenIdle } from './loading.ts';
import { borrowStage, returnStage } from './one-stage.ts';

/** The box folding from flat card to closed, the gift inside: turned by mouse, touch and keys. */
const props = defineProps<{ plan: Plan; request: PlanRequest }>();
const emit = defineEmits<{ face: [event: MouseEvent, face: { part: string; face: number }] }>();

const highlight = useHighlight();
const pointing = usePointing();
const dressing = useDressing();
const holder = useTemplateRef<HTMLElement>('holder');
const frame = useTemplateRef('frame');
const { width, height } = useObservedSize(frame);
const stage = shallowRef<FoldStage>();
const isDrawn = ref(false);

/** While a measure is dragged the figures follow it; the body in space waits until it has come to rest. */
const settled = refDebounced(
  computed(() => ({ plan: props.plan, papers: papersOf(props.request) })),
  180,
);
const box = computed(() => foldingBoxOf(settled.value.plan, settled.value.papers));
/** At first the gift is in, and what goes over it is not yet on. */
const share = ref(Math.min(1, (box.value.assembly.giftEnters + 1) / box.value.end));
const time = computed(() => share.value * box.value.end);

/** What the slider says for itself. */
const foldedSoFar = computed(() => {
  const percent = Math.round(share.value * 100);
  if (percent === 0) return 'flat';
  return percent === 100 ? 'closed' : `${percent}% of the way from flat to closed`;
});

/** What opens can be drawn off the closed box, to look in. */
const canOpen = computed(() => settled.value.plan.assembly.parts.some(({ opens }) => opens));
const isOpen = ref(false);
/** Who wants nothing to move sees it fold by fold. */
const isStill = useMediaQuery('(prefers-reduced-motion: reduce)');
const open = useTransition(() => (isOpen.value && canOpen.value ? 1 : 0), {
  duration: 600,
  easing: TransitionPresets.easeInOutCubic,
  disabled: isStill,
});

let isGone = false;
onMounted(async () => {
  if (!hasWebGL()) {
    // The same box is drawn as lines and faces instead.
    isDrawn.value = true;
    return;
  }
  // It is large, and the figures come first.
  await whenIdle();
  try {
    const borrowed = await borrowStage();
    if (isGone || !holder.value) {
      returnStage(borrowed);
      return;
    }
    holder.value.append(borrowed.canvas);
    stage.value = borrowed;
  } catch {
    isDrawn.value = true;
  }
});
onBeforeUnmount(() => {
  isGone = true;
  if (stage.value) returnStage(stage.value);
});

watch([stage, width, height], () => {
  if (width.value > 0) stage.value?.resize(width.value, height.value);
});
watch([stage, box], () => {
  const { plan, papers } = settled.value;
  const shown = {
    box: box.value,
    looks: looksOf(box.value, papers),
    gift: plan.gift,
    finery: fineryOf(plan, papers, { box: box.value, closed: closedFaces(box.value) }),
  };
  stage.value?.show(shown, { time: time.value, open: open.value });
});
watch([time, open], () => stage.value?.pose(time.value, open.value));
watch(
  () => highlight.lines,
  (lines) => stage.value?.light(lines),
);

/** The uppermost thing on the face in hand. */
const marked = computed(() => {
  const face = pointing.hovered ?? pointing.pointed?.face;
  return face && dressing.faceOf(face)?.inSpace.at(-1);
});
watch([stage, marked], () => stage.value?.mark(marked.value));

/** Where the pointer went down: a face is clicked, the box is dragged. */
let pressed: { readonly x: number; readonly y: number } | undefined;

function press({ clientX, clientY }: MouseEvent): void {
  pressed = { x: clientX, y: clientY };
}

function click(event: MouseEvent): void {
  const { clientX, clientY } = event;
  const isDragged = !pressed || Math.hypot(clientX - pressed.x, clientY - pressed.y) > 4;
  const bounds = stage.value?.canvas.getBoundingClientRect();
  if (isDragged || !bounds) return;
  const face = stage.value?.faceAt(
    ((clientX - bounds.left) / bounds.width) * 2 - 1,
    1 - ((clientY - bounds.top) / bounds.height) * 2,
  );
  if (face) emit('face', event, { part: face.part, face: face.face });
}

function foldTo(part: number): void {
  isOpen.value = false;
  share.value = part;
}

function toggleOpen(): void {
  if (!isOpen.value) {
    pause();
    share.value = 1;
  }
  isOpen.value = !isOpen.value;
}

/** The whole way takes this long when it is played. */
const playTime = 7000;
const { isActive, pause, resume } = useRafFn(
  ({ delta }) => {
    share.value = Math.min(1, share.value + delta / playTime);
    if (share.value >= 1) pause();
  },
  { immediate: false },
);

function play(): void {
  if (isActive.value) {
    pause();
    return;
  }
  isOpen.value = false;
  if (isStill.value) {
    const { end } = box.value;
    // A share is a quotient: what is a hair short of a fold is that fold.
    share.value = share.value >= 1 ? 0 : Math.min(1, (Math.floor(time.value + 1e-6) + 1) / end);
  } else {
    if (share.value >= 1) share.value = 0;
    resume();
  }
}

const playing = computed(() => {
  if (isStill.value) return { icon: StepForward, label: 'Show the next fold', title: 'Next fold' };
  return isActive.value
    ? { icon: Pause, label: 'Stop folding', title: 'Stop' }
    : { icon: Play, label: 'Play the folding', title: 'Fold it' };
});

const turns: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-8, 0],
  ArrowRight: [8, 0],
  ArrowUp: [0, 6],
  ArrowDown: [0, -6],
};

function onKey(event: KeyboardEvent): void {
  const turn = turns[event.key];
  if (!turn) return;
  event.preventDefault();
  stage.value?.turn(...turn);
}
</script>

<template>
  <div class="fold">
    <div
      ref="frame"
      class="frame"
      tabindex="0"
      role="img"
      :aria-label="`The box folding, ${Math.round(share * 100)} of 100 parts done. Arrow keys turn it.`"
      @keydown="onKey"
    >
      <div v-show="!isDrawn" ref="holder" class="holder" @pointerdown="press" @click="click" />
      <BoxPicture
        v-if="isDrawn"
        :plan="settled.plan"
        :papers="settled.papers"
        :time="time"
        :open="open"
        :gift="settled.plan.gift"
        class="drawn"
      />
    </div>
    <div class="controls">
      <button type="button" :aria-label="playing.label" :title="playing.title" @click="play">
        <component :is="playing.icon" :size="18" />
      </button>
      <span>flat</span>
      <Slider
        :model-value="share * 100"
        :step="0.5"
        aria-label="How far the box is folded"
        :pt="{ handle: { 'aria-valuetext': foldedSoFar } }"
        @update:model-value="(value) => foldTo(Number(value) / 100)"
      />
      <span>closed</span>
      <button
        v-if="canOpen"
        type="button"
        :aria-pressed="isOpen"
        aria-label="Open the closed box"
        title="Open it and look in"
        @click="toggleOpen"
      >
        <PackageOpen :size="18" />
      </button>
    </div>
  </div>
</template>

<style scoped>
.fold {
  position: relative;
  width: 100%;
  height: 100%;
}

.frame {
  position: absolute;
  inset: 0;
}

.frame:focus-visible {
  outline: 3px solid var(--turmeric);
  outline-offset: -4px;
}

/* The canvas is put in by hand. */
.holder,
.holder > :deep(canvas),
.drawn {
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
}

.drawn {
  padding: 16px 16px 48px;
}

.controls {
  position: absolute;
  left: 50%;
  bottom: 12px;
  display: flex;
  align-items: center;
  gap: 12px;
  width: min(360px, 82%);
  padding: 4px 8px 4px 6px;
  border-radius: 20px;
  font-size: 13px;
  color: #e6f0ec;
  background: rgb(20 48 45 / 82%);
  transform: translateX(-50%);
}

/* Its handle is round, and keeps off the words at both ends. */
.controls > :deep(.p-slider) {
  flex: 1;
  margin-inline: 9px;
}

.controls > :deep(.p-slider.p-slider-horizontal) {
  background: rgb(255 255 255 / 28%);
}

.controls :deep(.p-slider .p-slider-range) {
  background: var(--turmeric);
}

.controls button {
  padding: 6px;
  border: 0;
  border-radius: 50%;
  line-height: 0;
  color: #ffffff;
  background: none;
  cursor: pointer;
}

.controls button[aria-pressed='true'] {
  color: var(--line);
  background: var(--turmeric);
}

.controls button:not([aria-pressed='true']):hover {
  background: rgb(255 255 255 / 14%);
}
</style>
