<script setup lang="ts">
import { paperFor, papersOf, type FaceChoice, type Plan, type PlanRequest } from '@rangoli/core';
import { useMediaQuery } from '@vueuse/core';
import { computed, defineAsyncComponent, shallowRef, useTemplateRef, watch } from 'vue';
import { useDressing } from '../dress/dressing.ts';
import { usePointing } from '../dress/pointing.ts';
import { isPlainPiece } from '../parts/lay-pieces.ts';
import { useObservedSize } from '../parts/use-observed-size.ts';
import { cardLook, frontOf, type CardSideName } from '../prints/card-look.ts';
import FinishedSizes from './FinishedSizes.vue';
import MatPieces from './MatPieces.vue';
import OneByOne from './OneByOne.vue';

/** The cutting mat with the pieces to scale, and the box folding; where it is narrow one piece after the other. */
const props = defineProps<{ plan: Plan; request: PlanRequest; stale: boolean }>();

/** The folding comes after the figures: it is large, and nobody waits for it. */
const FoldView = defineAsyncComponent(() => import('../fold/FoldView.vue'));
const FaceMenu = defineAsyncComponent(() => import('../dress/FaceMenu.vue'));

const dressing = useDressing();
const pointing = usePointing();
const mat = useTemplateRef<HTMLElement>('mat');
const { width, height } = useObservedSize(mat, { width: 660, height: 360 });
/** On a mat that is narrower than this several pieces could not be read beside one another. */
const narrow = 480;
const isNarrow = computed(() => width.value < narrow && props.plan.pieces.length > 1);
/** Pixels left free for what is said over the pieces, which takes two lines on a narrow mat. */
const head = computed(() => (width.value < narrow ? 36 : 18));
const section = useTemplateRef<HTMLElement>('section');
const whole = useObservedSize(section);

/** Points at a face, with its menu where the pointer is. */
function pointAt({ clientX, clientY }: MouseEvent, face: FaceChoice): void {
  const { left = 0, top = 0 } = section.value?.getBoundingClientRect() ?? {};
  pointing.point(face, { x: clientX - left, y: clientY - top });
}

function pointInSpace(event: MouseEvent, at: { part: string; face: number }): void {
  const found = dressing.faces.find(({ inSpace }) =>
    inSpace.some(({ part, face }) => part === at.part && face === at.face),
  );
  if (found) pointAt(event, found.face);
  else pointing.leave();
}

/** Which side of the pieces is up: scores are made and measured inside up. */
const up = shallowRef<CardSideName>('inside');

/** Whether there is something to see on the other side of what is scored. */
const hasTwoSides = computed(() => {
  const papers = papersOf(props.request);
  return props.plan.pieces.some((piece) => {
    if (isPlainPiece(piece)) return false;
    const paper = paperFor(papers, piece.paper);
    const { inside, outside } = cardLook(piece, paper, frontOf(props.plan, piece.id));
    return inside.isPrinted || outside.isPrinted || inside.colour !== outside.colour;
  });
});
const isOver = computed(() => up.value === 'outside' && hasTwoSides.value);
watch(hasTwoSides, (has) => {
  if (!has) up.value = 'inside';
});

const side = computed((): CardSideName => (isOver.value ? 'outside' : 'inside'));

const faceUp = computed(() => {
  if (isOver.value) return 'Turned over, outside up';
  const papers = papersOf(props.request);
  const printed = props.plan.pieces.some(
    (piece) => !isPlainPiece(piece) && paperFor(papers, piece.paper).print === 'one face',
  );
  return printed ? 'Drawn inside face up, print down' : 'Drawn inside face up';
});

/** A finger taps. */
const isTouched = useMediaQuery('(pointer: coarse)');
</script>

<template>
  <section ref="section" class="mat" aria-label="Pieces on the cutting mat" :class="{ stale }">
    <div ref="mat" class="pieces">
      <OneByOne v-if="isNarrow" class="drawn" :pieces="plan.pieces">
        <template #default="{ piece, high }">
          <MatPieces
            v-bind="{ plan, request, width, head, up: side }"
            :pieces="[piece]"
            :height="height - high"
            :label="`${piece.name}. ${faceUp}`"
            @point="pointAt"
          />
        </template>
      </OneByOne>
      <MatPieces
        v-else
        class="drawn"
        v-bind="{ plan, request, width, height, head, up: side }"
        :pieces="plan.pieces"
        :label="faceUp"
        @point="pointAt"
      />
      <p class="face">
        {{ faceUp }} ·
        <template v-if="hasTwoSides">
          <button type="button" @click="up = isOver ? 'inside' : 'outside'">
            {{ isOver ? 'turn them back' : 'turn them over' }}
          </button>
          ·
        </template>
        <button type="button" title="Choose a face from a list" @click="pointing.choose()">
          {{ isTouched ? 'tap' : 'click' }} a face to dress it
        </button>
      </p>
    </div>
    <div class="folding">
      <FoldView :plan="plan" :request="request" @face="pointInSpace" />
      <FinishedSizes v-if="!stale" :plan="plan" :request="request" />
    </div>
    <FaceMenu
      v-if="pointing.pointed || pointing.isChoosing"
      :width="whole.width.value"
      :height="whole.height.value"
    />
    <slot />
  </section>
</template>

<style scoped>
.mat {
  position: relative;
  overflow: hidden;
  background-color: var(--mat);
  background-image: radial-gradient(circle, var(--mat-dot) 1.1px, transparent 1.4px);
  background-size: 22px 22px;
}

.mat {
  display: grid;
  grid-template-rows: minmax(0, 1.05fr) minmax(0, 1fr);
}

.pieces,
.folding {
  position: relative;
  min-height: 0;
}

.drawn {
  position: absolute;
  inset: 0;
}

.stale .folding,
.stale svg.drawn,
.stale .drawn :deep(svg) {
  filter: grayscale(1);
  opacity: 0.45;
}

.face {
  position: absolute;
  left: 0;
  right: 0;
  top: 12px;
  text-align: center;
  font-size: 12px;
  color: #b9cfc8;
  pointer-events: none;
}

@media (max-width: 640px) {
  .face {
    top: 10px;
    padding: 0 12px;
    line-height: 18px;
  }
}

.face button {
  min-height: 24px;
  padding: 0;
  border: 0;
  font: inherit;
  color: inherit;
  text-decoration: underline;
  background: none;
  cursor: pointer;
  pointer-events: auto;
}
</style>
