<script setup lang="ts">
import { papersOf, countInWords, doneOf, isDone, type Step } from '@rangoli/core';
import { useEventListener, useSwipe } from '@vueuse/core';
import { computed, defineAsyncComponent, shallowRef, useTemplateRef } from 'vue';
import MadeNote from '../rescue/MadeNote.vue';
import { useOpenMaking } from '../stores/open-making.ts';
import ToolsNote from '../parts/ToolsNote.vue';
import { useOpenProject } from '../stores/open-project.ts';
import CopyCount from './CopyCount.vue';
import LidCornersChoice from './LidCornersChoice.vue';
import MakeBar from './MakeBar.vue';
import MakeFooter from './MakeFooter.vue';
import MakeHeading from './MakeHeading.vue';
import { timeLeftInWords } from './minutes.ts';
import { nextInWords } from './next-in-words.ts';
import { useEscape } from '../parts/use-escape.ts';
import { useMoments } from './use-moments.ts';
import { useStepWords } from './use-step-words.ts';
import NoStepsNote from './NoStepsNote.vue';
import StepList from './StepList.vue';
import StepsButton from './StepsButton.vue';
import StepPicture from './StepPicture.vue';
import TextButton from './TextButton.vue';

/** The whole job at the table, one step at a time, to be read from two metres. */
const props = defineProps<{ id: string }>();

const project = useOpenProject(() => props.id);
const making = useOpenMaking(() => props.id);

/** The job with the plan that it is of: a newer plan waits for its own. */
const planned = computed(() => making.planned);
const shown = computed(() => planned.value?.batch);
const step = computed(() => making.step);
const moments = useMoments(() => step.value);
const { words, now } = useStepWords({
  planned: () => planned.value,
  step: () => step.value,
  at: () => moments.at.value,
});
const number = computed(() =>
  step.value && planned.value ? planned.value.job.steps.indexOf(step.value) + 1 : 0,
);
const done = computed(() => (step.value ? doneOf(making.progress, step.value) : 0));
const isStepDone = computed(() => step.value !== undefined && isDone(making.progress, step.value));
const remaining = computed(() => (step.value ? step.value.copies - done.value : 0));
const allWords = computed(() => {
  const count = remaining.value;
  if (count === 1) return 'Done';
  if (count === 2 && done.value === 0) return 'Both done';
  return done.value === 0
    ? `All ${countInWords(count)} done`
    : `The other ${countInWords(count)} done`;
});

const nextWords = computed(() =>
  nextInWords(moments.moment.value, moments.hasNext.value ? 'within' : 'last'),
);

/** What a trial box teaches plans the next one anew; this one stays made until the maker goes on. */
const rests = shallowRef(false);
function makeMore(): void {
  rests.value = false;
  making.startAnew();
}

const showsList = shallowRef(false);
useEscape(
  () => showsList.value,
  () => (showsList.value = false),
);
function go(to: Step): void {
  rests.value = false;
  showsList.value = false;
  making.go(to);
}
function walk(steps: number): void {
  rests.value = false;
  making.walk(steps);
}
/** By key; what isn't shown can't be done. */
function finishShown(): void {
  if (!rests.value && !isStepDone.value) making.finishAll();
}

useEventListener(window, 'keydown', (event) => {
  const { target, key } = event;
  if (rescues.value || writes.value) return;
  if (target instanceof HTMLElement && target.closest('input, [role="spinbutton"]')) return;
  const isButton = target instanceof HTMLElement && target.closest('button, a') !== null;
  if (key === 'ArrowRight' || key === 'ArrowLeft') {
    walk(key === 'ArrowRight' ? 1 : -1);
    event.preventDefault();
  } else if ((key === ' ' || key === 'Enter') && !isButton) {
    // Mark after mark, then the step is done.
    if (moments.hasNext.value && !isStepDone.value) moments.choose(moments.at.value + 1);
    else finishShown();
    event.preventDefault();
  }
});
const bench = useTemplateRef('bench');
useSwipe(bench, {
  threshold: 70,
  onSwipeEnd: (_, direction) => {
    if (direction === 'left') walk(1);
    if (direction === 'right') walk(-1);
  },
});

/** Whether the maker is telling what went wrong. */
const rescues = shallowRef(false);
const RescueDialog = defineAsyncComponent(() => import('../rescue/RescueDialog.vue'));
/** Whether the maker is writing a step or a note of their own. */
const writes = shallowRef(false);
const BoxesMade = defineAsyncComponent(() => import('./BoxesMade.vue'));
const OwnStepDialog = defineAsyncComponent(() => import('./OwnStepDialog.vue'));
const pieceAtHand = computed(() => step.value?.piece);
const names = computed(
  () => new Map(shown.value?.plan.pieces.map(({ id, name }) => [id, name]) ?? []),
);

const leftWords = computed(() => timeLeftInWords(making.leftInAll));

const boxesMade = computed(() => {
  const { boxes } = making.progress;
  return boxes === 1 ? 'The box is made' : `All ${countInWords(boxes)} boxes are made`;
});
</script>

<template>
  <div class="make">
    <MakeBar :id="id" :name="project.document?.name" :sentence="words?.text ?? ''" />
    <ToolsNote />
    <main v-if="making.isReady && shown && planned">
      <StepList
        :class="{ open: showsList }"
        :planned="planned"
        :progress="making.progress"
        :here="step"
        :left="making.left"
        @go="go"
      />
      <section ref="bench" class="bench">
        <p v-if="making.state === 'here only'" class="away" role="alert">
          What you tick is kept in this browser, and told when the server answers.
        </p>
        <MadeNote
          v-if="shown.request.made.length > 0"
          :request="shown.request"
          :names="names"
          @forget="project.forgetMade()"
        />
        <template v-if="step && words && now && !rests">
          <header class="step">
            <div class="said" aria-live="polite">
              <StepsButton
                :number="number"
                :of="planned.job.steps.length"
                @list="showsList = !showsList"
              />
              <MakeHeading
                :figure="now.figure"
                :aside="now.aside"
                :text="words.text"
                :passages="words.passages"
                :at="moments.at.value"
              />
              <LidCornersChoice
                :plan="shown.plan"
                :step="step"
                :corners="making.progress.lidCorners"
                @choose="making.setLidCorners"
              />
              <TextButton @click="writes = true">Your own step or note</TextButton>
            </div>
            <CopyCount
              v-if="step.copies > 1"
              :done="done"
              :copies="step.copies"
              :counted="words.counted"
            />
          </header>
          <div class="tool-drawing">
            <StepPicture
              :plan="shown.plan"
              :request="shown.request"
              :job="planned.job"
              :sheets="planned.sheets"
              :step="step"
              :at="moments.at.value"
              @choose="moments.choose"
            />
          </div>
          <MakeFooter :left="leftWords" :can-go-back="number > 1" @back="walk(-1)">
            <button type="button" class="big off" @click="rescues = true">Off by a bit?</button>
            <template v-if="isStepDone">
              <button type="button" class="big" @click="making.doAgain()">Do it again</button>
              <button type="button" class="big go" @click="walk(1)">Next</button>
            </template>
            <template v-else>
              <button
                v-if="moments.moments.value.length > 1"
                type="button"
                class="big"
                @click="moments.choose(moments.hasNext.value ? moments.at.value + 1 : 0)"
              >
                {{ nextWords }}
              </button>
              <button v-if="remaining > 1" type="button" class="big" @click="making.finish(1)">
                Done one
              </button>
              <button type="button" class="big go" @click="making.finishAll()">
                {{ allWords }}
              </button>
            </template>
          </MakeFooter>
        </template>
        <BoxesMade
          v-else
          :figure="boxesMade"
          :name="project.document?.name ?? ''"
          :plan="shown.plan"
          :papers="papersOf(shown.request)"
          @learned="rests = true"
          @back="walk(-1)"
          @more="makeMore"
        />
      </section>
    </main>
    <NoStepsNote v-else :id="id" />
    <OwnStepDialog v-if="writes && step" :step="step" @close="writes = false" />
    <RescueDialog v-if="rescues" :id="id" :piece="pieceAtHand" @close="rescues = false" />
  </div>
</template>

<style scoped>
.make {
  display: flex;
  flex-direction: column;
  height: 100dvh;
  min-height: 0;
}

main {
  flex: 1;
  display: grid;
  grid-template-columns: 300px 1fr;
  min-height: 0;
}

.bench {
  display: flex;
  flex-direction: column;
  gap: 14px;
  min-width: 0;
  min-height: 0;
  padding: 20px 30px 0 34px;
  overflow: hidden auto;
  color: #ffffff;
  background: radial-gradient(circle, var(--mat-dot) 1px, transparent 1.3px) 0 0 / 25px 25px
    var(--mat);
}

.away {
  margin: 0;
  padding: 8px 12px;
  border-radius: var(--radius);
  color: var(--ink);
  background: var(--turmeric-pale);
}

.step {
  display: flex;
  align-items: flex-start;
  justify-content: space-between;
  gap: 20px;
}

/* A longer text is scrolled; the drawing keeps half of the height, and the buttons their place at the foot. */
.tool-drawing {
  flex: 1 0 50dvh;
  min-width: 0;
}

@media (max-width: 920px) {
  main {
    grid-template-columns: 1fr;
  }

  main > nav {
    display: none;
  }

  main > nav.open {
    display: block;
    position: absolute;
    inset: 110px 0 0;
    z-index: 5;
  }

  .bench {
    padding: 14px 16px 0;
  }
}

/* A phone, upright or on its side: the page scrolls, and the drawing keeps its size. */
@media (max-width: 560px), (max-height: 520px) {
  .make {
    height: auto;
    min-height: 100dvh;
  }

  .bench {
    min-height: auto;
    overflow: visible;
  }

  .tool-drawing {
    flex: none;
  }

  .tool-drawing > :not(.picture) {
    height: max(300px, 50dvh);
  }
}

@media (max-width: 560px) {
  .step {
    flex-direction: column;
    gap: 10px;
  }
}

/* A phone that lies on its side: the picture stands beside the words. */
@media (min-width: 561px) and (max-height: 520px) {
  .bench {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    /* The buttons stand at the foot, however little is told. */
    align-content: space-between;
    gap: 8px 16px;
    padding: 8px 16px 0;
  }

  .bench > * {
    grid-column: 1 / -1;
  }

  .bench > .step {
    grid-column: 1;
    flex-wrap: wrap;
    gap: 8px;
  }

  .bench > .tool-drawing {
    position: sticky;
    top: 8px;
    grid-column: 2;
    align-self: start;
  }

  .tool-drawing > * {
    height: calc(100dvh - 138px);
    min-height: 150px;
  }
}
</style>
