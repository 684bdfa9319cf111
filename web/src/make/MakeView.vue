<script setup lang="ts">
import {
  countInWords,
  doneOf,
  isDone,
  mostBoxes,
  paperFor,
  quarterTurnsTo,
  sayJobStep,
  scoreRun,
  cutSizeOf,
  usualKit,
  type JobStep,
  type ScoreRun,
  type ScoreStep,
} from '@rangoli/core';
import { ListChecks, Printer, RotateCw, Volume2 } from '@lucide/vue';
import {
  useEventListener,
  useIntervalFn,
  usePreferredReducedMotion,
  useSpeechSynthesis,
  useSwipe,
  useWakeLock,
} from '@vueuse/core';
import InputNumber from 'primevue/inputnumber';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { RouterLink } from 'vue-router';
import TopBar from '../parts/TopBar.vue';
import Worded from '../parts/Worded.vue';
import { useMaking } from '../stores/making.ts';
import { useOpenProject } from '../stores/open-project.ts';
import BoardDrawing from './BoardDrawing.vue';
import CopyCount from './CopyCount.vue';
import FoldPicture from './FoldPicture.vue';
import { minutesInWords } from './minutes.ts';
import PieceFocus from './PieceFocus.vue';
import SheetPicture from './SheetPicture.vue';
import StepList from './StepList.vue';
import TrialBox from './TrialBox.vue';

/** The whole job at the table, one step at a time, to be read from two metres. */
const props = defineProps<{ id: string }>();

const project = useOpenProject(() => props.id);
const making = useMaking();
watch(
  () => props.id,
  (id) => void making.open(id),
  { immediate: true },
);
onBeforeUnmount(() => making.flush());
useEventListener(window, 'pagehide', () => making.flush());

const shown = computed(() => project.shown);
const kit = computed(() => shown.value?.request.kit);
const step = computed(() => making.step);
const words = computed(() => step.value && kit.value && sayJobStep(step.value, kit.value));
const piece = computed(() =>
  shown.value?.plan.pieces.find(({ id }) => id === step.value?.work.piece),
);
const colour = computed(() =>
  shown.value && piece.value
    ? paperFor(shown.value.request.papers, piece.value.paper).colour
    : '#ffffff',
);
const number = computed(() =>
  step.value && making.job ? making.job.steps.indexOf(step.value) + 1 : 0,
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

/** The score step at hand, where it is one. */
const score = computed((): ScoreStep | undefined =>
  step.value?.work.kind === 'score' ? step.value.work : undefined,
);

/** What the score is measured on: the board's grooves, or the trimmer's ruler. */
const ruler = computed(() => {
  const { board, trimmer } = kit.value ?? usualKit('inch');
  return score.value?.tool === 'board'
    ? board
    : {
        unit: trimmer.unit,
        pitch: trimmer.step,
        reach: trimmer.widthWithArm,
        fence: 'left' as const,
      };
});

/** Everything that earlier steps scored on this piece. */
const scored = computed((): readonly ScoreRun[] => {
  if (!making.job || !step.value || !piece.value) return [];
  const { width, height } = cutSizeOf(piece.value.grid);
  return making.job.steps
    .slice(0, number.value - 1)
    .flatMap(({ work }) =>
      work.kind === 'score' && work.piece === piece.value?.id && work.make === 'score'
        ? work.passes.map((pass) => scoreRun(pass, work.reading, width, height))
        : [],
    );
});

// The turns of a setting are shown one after the other, until one of them is chosen.
const motion = usePreferredReducedMotion();
const pass = ref(0);
const turns = ref(0);
const quarters = { none: 0, quarter: 1, half: 2, 'three quarters': 3 } as const;
const cycle = useIntervalFn(() => {
  if (motion.value !== 'reduce') showPass((pass.value + 1) % (score.value?.passes.length ?? 1));
}, 2600);
function showPass(to: number): void {
  const passes = score.value?.passes ?? [];
  const next = passes[to];
  if (!next) return;
  if (to === pass.value + 1) turns.value += quarters[next.turn];
  else {
    // Turned on to the first again, never back.
    const wanted = quarterTurnsTo(next.edge, ruler.value.fence);
    turns.value += (wanted - (turns.value % 4) + 4) % 4;
  }
  pass.value = to;
}
function choosePass(to: number): void {
  cycle.pause();
  showPass(to);
}
watch(
  score,
  (now) => {
    pass.value = 0;
    const [first] = now?.passes ?? [];
    turns.value = first ? quarterTurnsTo(first.edge, ruler.value.fence) : 0;
    if (now && now.passes.length > 1) cycle.resume();
    else cycle.pause();
  },
  { immediate: true },
);
const turnWords = computed(() => {
  const next = score.value?.passes[1];
  if (!score.value || !next) return undefined;
  const turn = {
    none: 'Then once more',
    quarter: 'Then a quarter turn',
    half: 'Then half a turn',
    'three quarters': 'Then a quarter turn back',
  }[next.turn];
  const many = score.value.passes.length;
  return {
    turn,
    rest:
      many === 4 ? 'same mark, all four sides' : `same mark, ${countInWords(many)} times in all`,
  };
});

/** The stage of the folding that the step is about. */
const foldStage = computed(() => {
  const work = step.value?.work;
  if (!work || !('stage' in work)) return 0;
  // What is glued round another piece is shown as it goes over it.
  const isRound = work.kind === 'glue' && work.round !== undefined;
  const part = shown.value?.plan.assembly.parts.find((each) => each.piece === work.piece);
  return isRound && part ? part.joins : work.stage;
});

/** The one piece to show, while nothing is put to it. */
const foldPiece = computed(() => {
  const work = step.value?.work;
  if (work?.kind === 'close') return work.isLast ? undefined : work.piece;
  return work?.kind === 'glue' && work.round === undefined ? work.piece : undefined;
});

// Read aloud, where the browser can.
const readsAloud = ref(false);
const sentence = computed(() => words.value?.text ?? '');
const speech = useSpeechSynthesis(sentence, { lang: 'en' });
watch([readsAloud, sentence], () => {
  if (!speech.isSupported.value) return;
  speech.stop();
  if (readsAloud.value && sentence.value !== '') speech.speak();
});
onBeforeUnmount(() => {
  if (speech.isSupported.value) speech.stop();
});

// The screen stays on while there is glue on the fingers.
const lock = useWakeLock();
onMounted(() => {
  if (lock.isSupported.value) void lock.request('screen').catch(() => undefined);
});

/** What a trial box teaches plans the next one anew; this one stays made until the maker goes on. */
const rests = shallowRef(false);
function makeMore(): void {
  rests.value = false;
  making.startAnew();
}

const showsList = shallowRef(false);
function go(to: JobStep): void {
  rests.value = false;
  showsList.value = false;
  making.go(to);
}

useEventListener(window, 'keydown', (event) => {
  const { target, key } = event;
  if (target instanceof HTMLElement && target.closest('input, [role="spinbutton"]')) return;
  const isButton = target instanceof HTMLElement && target.closest('button, a') !== null;
  if (key === 'ArrowRight' || key === 'ArrowLeft') {
    making.walk(key === 'ArrowRight' ? 1 : -1);
    event.preventDefault();
  } else if ((key === ' ' || key === 'Enter') && !isButton && !isStepDone.value) {
    making.finishAll();
    event.preventDefault();
  }
});
const bench = useTemplateRef('bench');
useSwipe(bench, {
  threshold: 70,
  onSwipeEnd: (_, direction) => {
    if (direction === 'left') making.walk(1);
    if (direction === 'right') making.walk(-1);
  },
});

const leftWords = computed(() => {
  const words = minutesInWords(making.leftInAll);
  return words.startsWith('under') ? `${words} left` : `about ${words} left`;
});

const problem = computed(() => project.problems[0]?.message);
const boxesMade = computed(() => {
  const { boxes } = making.progress;
  return boxes === 1 ? 'The box is made' : `All ${countInWords(boxes)} boxes are made`;
});
</script>

<template>
  <div class="make">
    <TopBar place="make" :project="id">
      <span v-if="project.document" class="name">{{ project.document.name }}</span>
      <template #tools>
        <label class="boxes"
          ><InputNumber
            :model-value="making.progress.boxes"
            :min="1"
            :max="mostBoxes"
            show-buttons
            button-layout="horizontal"
            :input-style="{ width: '3.2rem' }"
            aria-label="How many boxes"
            @update:model-value="(boxes) => boxes !== null && making.setBoxes(boxes)"
          />
          {{ making.progress.boxes === 1 ? 'box' : 'boxes' }}</label
        >
        <button
          v-if="speech.isSupported.value"
          type="button"
          class="tool"
          :aria-pressed="readsAloud"
          @click="readsAloud = !readsAloud"
        >
          <Volume2 :size="17" aria-hidden="true" />Read aloud
        </button>
        <RouterLink class="tool" :to="{ name: 'print', params: { id } }"
          ><Printer :size="17" aria-hidden="true" />Print</RouterLink
        >
        <span v-if="lock.isActive.value" class="quiet">Screen stays on</span>
      </template>
    </TopBar>
    <p v-if="project.openState.kind === 'missing'" class="state">
      This box is not on the shelf any more. <RouterLink to="/">Back to the shelf</RouterLink>
    </p>
    <p v-else-if="project.openState.kind === 'failed'" class="state">
      {{ project.openState.message }}
    </p>
    <div v-else-if="problem !== undefined" class="state">
      <p><b>This box can’t be made yet.</b></p>
      <p>{{ problem }}</p>
      <RouterLink :to="{ name: 'box', params: { id } }">Change the box</RouterLink>
    </div>
    <main v-else-if="making.job && shown && kit && making.state !== 'opening'">
      <StepList
        :class="{ open: showsList }"
        :job="making.job"
        :progress="making.progress"
        :kit="kit"
        :here="step"
        :left="making.left"
        @go="go"
      />
      <section ref="bench" class="bench" aria-live="polite">
        <p v-if="making.state === 'here only'" class="away" role="alert">
          The server doesn’t answer. Progress is kept on this page until it does.
        </p>
        <template v-if="step && words && !rests">
          <header>
            <div class="said">
              <button type="button" class="steps" @click="showsList = !showsList">
                <ListChecks :size="18" aria-hidden="true" />Step {{ number }} of
                {{ making.job.steps.length }}
              </button>
              <h1 :class="{ long: words.figure.length > 16 }"><Worded :text="words.figure" /></h1>
              <p class="text"><Worded :text="words.text" /></p>
            </div>
            <CopyCount
              v-if="step.copies > 1"
              :done="done"
              :copies="step.copies"
              :counted="words.counted"
            />
          </header>
          <div class="picture">
            <div class="tool-drawing">
              <BoardDrawing
                v-if="score && piece"
                :board="ruler"
                :bare="score.tool !== 'board'"
                :piece="piece"
                :colour="colour"
                :step="score"
                :pass="pass"
                :turns="turns"
                :scored="scored"
              />
              <SheetPicture
                v-else-if="step.work.kind === 'cut'"
                :plan="shown.plan"
                :request="shown.request"
                :boxes="making.progress.boxes"
                :piece="step.work.piece"
              />
              <FoldPicture
                v-else-if="
                  step.work.kind === 'glue' ||
                  step.work.kind === 'join' ||
                  step.work.kind === 'gift' ||
                  step.work.kind === 'close'
                "
                :plan="shown.plan"
                :papers="shown.request.papers"
                :stage="foldStage"
                :piece="foldPiece"
              />
              <PieceFocus v-else-if="piece" :piece="piece" :colour="colour" :work="step.work" />
            </div>
            <aside v-if="score && turnWords" class="turn">
              <RotateCw :size="58" :stroke-width="2.2" aria-hidden="true" />
              <b>{{ turnWords.turn }}</b>
              <span>{{ turnWords.rest }}</span>
              <div class="passes" role="group" aria-label="Show one side">
                <button
                  v-for="(_, i) in score.passes"
                  :key="i"
                  type="button"
                  :aria-pressed="i === pass"
                  @click="choosePass(i)"
                >
                  {{ i + 1 }}
                </button>
              </div>
            </aside>
          </div>
          <footer>
            <button type="button" class="big" :disabled="number === 1" @click="making.walk(-1)">
              Back
            </button>
            <span class="left">{{ leftWords }}</span>
            <template v-if="isStepDone">
              <button type="button" class="big" @click="making.doAgain()">Do it again</button>
              <button type="button" class="big go" @click="making.walk(1)">Next</button>
            </template>
            <template v-else>
              <button v-if="remaining > 1" type="button" class="big" @click="making.finish(1)">
                Done one
              </button>
              <button type="button" class="big go" @click="making.finishAll()">
                {{ allWords }}
              </button>
            </template>
          </footer>
        </template>
        <div v-else class="made">
          <h1>{{ boxesMade }}</h1>
          <p class="text">{{ project.document?.name }}</p>
          <TrialBox @learned="rests = true" />
          <div class="tool-drawing">
            <FoldPicture :plan="shown.plan" :papers="shown.request.papers" :stage="0" whole />
          </div>
          <footer>
            <button type="button" class="big" @click="making.walk(-1)">Back</button>
            <span class="left" />
            <button type="button" class="big" @click="makeMore">Make more</button>
            <RouterLink class="big go" to="/">To the shelf</RouterLink>
          </footer>
        </div>
      </section>
    </main>
  </div>
</template>

<style scoped>
.make {
  display: flex;
  flex-direction: column;
  height: 100dvh;
}

.name {
  overflow: hidden;
  font: 700 16px var(--figures);
  text-overflow: ellipsis;
  white-space: nowrap;
}

.boxes {
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 14px;
}

.tool {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 6px 12px;
  border: 1px solid var(--rule);
  border-radius: var(--radius);
  font: 600 14px var(--text);
  color: var(--ink);
  text-decoration: none;
  background: var(--paper);
  cursor: pointer;
}

.tool[aria-pressed='true'] {
  color: #ffffff;
  background: var(--ink);
}

.state {
  max-width: 40rem;
  margin: 12vh auto;
  padding: 0 20px;
  font-size: 18px;
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
  padding: 20px 30px 18px 34px;
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

header {
  display: flex;
  align-items: flex-start;
  justify-content: space-between;
  gap: 20px;
}

.steps {
  display: flex;
  align-items: center;
  gap: 7px;
  margin: 0 0 4px;
  padding: 0;
  border: 0;
  font: 14px var(--text);
  color: #d3e2dd;
  background: none;
  pointer-events: none;
}

.steps svg {
  display: none;
}

h1 {
  margin: 0;
  font: 800 74px/1 var(--figures);
  font-feature-settings: 'frac';
}

h1.long {
  font-size: 44px;
}

.text {
  max-width: 46rem;
  margin: 8px 0 0;
  font-size: 20px;
  line-height: 1.3;
}

.picture {
  flex: 1;
  display: flex;
  gap: 22px;
  min-height: 0;
}

.tool-drawing {
  flex: 1;
  min-width: 0;
  min-height: 0;
}

.turn {
  display: flex;
  flex: none;
  flex-direction: column;
  gap: 4px;
  width: 150px;
  padding-top: 26px;
  color: #d3e2dd;
}

.turn b {
  margin-top: 6px;
  font-size: 17px;
  color: #ffffff;
}

.passes {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}

.passes button {
  width: 34px;
  height: 34px;
  border: 2px solid #7fa79e;
  border-radius: 50%;
  font: 700 15px var(--figures);
  color: #ffffff;
  background: none;
  cursor: pointer;
}

.passes button[aria-pressed='true'] {
  border-color: var(--turmeric);
  color: var(--ink);
  background: var(--turmeric);
}

footer {
  display: flex;
  align-items: center;
  gap: 12px;
}

.left {
  flex: 1;
  font-size: 15px;
  color: #d3e2dd;
}

.big {
  min-height: 52px;
  padding: 0 26px;
  border: 0;
  border-radius: 10px;
  font: 700 17px/52px var(--text);
  text-decoration: none;
  color: #ffffff;
  background: #2d5f59;
  cursor: pointer;
}

.big:disabled {
  opacity: 0.45;
  cursor: default;
}

.big.go {
  color: var(--ink);
  background: var(--turmeric);
}

.big:focus-visible,
.passes button:focus-visible,
.steps:focus-visible {
  outline: 3px solid #ffffff;
  outline-offset: 2px;
}

.made {
  flex: 1;
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
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
    padding: 14px 16px;
  }

  .steps {
    min-height: 40px;
    padding: 0 14px 0 10px;
    border: 1.5px solid #7fa79e;
    border-radius: 20px;
    pointer-events: auto;
    cursor: pointer;
  }

  .steps svg {
    display: block;
  }

  h1 {
    font-size: 60px;
  }

  h1.long {
    font-size: 34px;
  }

  .text {
    font-size: 18px;
  }
}

@media (max-width: 560px) {
  .make {
    height: auto;
    min-height: 100dvh;
  }

  .quiet {
    display: none;
  }

  .tool {
    padding: 6px 8px;
    font-size: 13px;
  }

  .tool-drawing {
    flex: none;
    height: 300px;
  }

  footer {
    position: sticky;
    bottom: 0;
    margin: 0 -16px -14px;
    padding: 10px 16px;
    background: var(--mat);
  }

  header {
    flex-direction: column;
    gap: 10px;
  }

  .picture {
    flex-direction: column;
  }

  .turn {
    flex-flow: row wrap;
    align-items: center;
    width: auto;
    padding: 0;
  }

  .turn svg {
    width: 30px;
    height: 30px;
  }

  .turn span {
    display: none;
  }

  .passes {
    margin: 0 0 0 auto;
  }

  .left {
    display: none;
  }

  footer .big {
    flex: 1;
    padding: 4px 8px;
    font-size: 16px;
    line-height: 1.2;
    text-align: center;
  }

  footer .go {
    flex: 1.6;
  }

  .name {
    display: none;
  }

  h1 {
    font-size: 48px;
  }

  h1.long {
    font-size: 28px;
  }

  .text {
    font-size: 16px;
  }
}
</style>
