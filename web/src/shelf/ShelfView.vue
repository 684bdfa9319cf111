<script setup lang="ts">
import { kitFor, newProject } from '@rangoli/core';
import { Plus } from '@lucide/vue';
import { useDebounceFn, useIntersectionObserver, watchDebounced } from '@vueuse/core';
import Button from 'primevue/button';
import {
  computed,
  defineAsyncComponent,
  onBeforeUnmount,
  onMounted,
  shallowRef,
  useTemplateRef,
  watch,
} from 'vue';
import { useRouter } from 'vue-router';
import {
  createProject,
  deleteProject,
  duplicateProject,
  listProjects,
  readContents,
  restoreProject,
  type ShelfContents,
  type StoredProject,
} from '../api/projects.ts';
import { wholeShelf, type ShelfQuery } from '../api/shelf-paths.ts';
import { leaveFirstSight } from '../first-sight/leave-first-sight.ts';
import { leaveShelfSight } from '../first-sight/shelf-seen.ts';
import { forAnotherGift } from '../keeping/boxes.ts';
import QuietButton from '../parts/QuietButton.vue';
import TopBar from '../parts/TopBar.vue';
import { useAttempt } from '../parts/use-attempt.ts';
import { usePartByPart } from '../parts/use-part-by-part.ts';
import { useAccess } from '../stores/access.ts';
import { useKeeping } from '../stores/keeping.ts';
import { usePapers } from '../stores/papers.ts';
import { useToolbox } from '../stores/toolbox.ts';
import { useUsualUnit } from '../stores/usual-unit.ts';
import UndoNote from '../parts/UndoNote.vue';
import { useFirstSteps } from '../stores/first-steps.ts';
import CardRows from './CardRows.vue';
import ShelfCard from './ShelfCard.vue';
import ShelfDesk from './ShelfDesk.vue';
import ShelfFilter from './ShelfFilter.vue';

/** All boxes, each as a small drawing of its own pieces. */
type State =
  | { readonly kind: 'loading' }
  | { readonly kind: 'ready' }
  /** The server is away: the boxes that this browser knows. */
  | { readonly kind: 'away' }
  | { readonly kind: 'failed'; readonly message: string };

const router = useRouter();
const steps = useFirstSteps();
const state = shallowRef<State>({ kind: 'loading' });
const projects = shallowRef<readonly StoredProject[]>([]);
const unreadable = shallowRef<readonly { readonly id: string; readonly name: string }[]>([]);
/** How many boxes there are of what was looked for, and where the shelf goes on. */
const total = shallowRef(0);
const next = shallowRef<string>();
const wish = shallowRef<ShelfQuery>(wholeShelf);
const isSifted = computed(() => {
  const { search, kind, paper } = wish.value;
  return search !== '' || kind !== undefined || paper !== undefined;
});
const contents = shallowRef<ShelfContents>({ kinds: [], papers: [] });

const deleted = shallowRef<StoredProject>();
const DeletedBoxes = defineAsyncComponent(() => import('./DeletedBoxes.vue'));
const showsDeleted = shallowRef(false);
const { trouble, attempt } = useAttempt();
const usualUnit = useUsualUnit();
const keeping = useKeeping();
const access = useAccess();
const isSignedOut = computed(() => access.session?.isSignedIn === false);
const tools = useToolbox();
const papers = usePapers();

/** What was asked for last: an answer to an earlier question is not shown. */
let asked = 0;

/** A box as it is here, where something of it has not reached the server yet. */
async function asHere(listed: readonly StoredProject[]): Promise<readonly StoredProject[]> {
  const { keeper } = await keeping.boxes;
  return listed.map((each) => {
    const replica = keeper.replica(each.id);
    if (replica?.isWaiting !== true) return each;
    leaveFirstSight();
    return { ...each, document: replica.value };
  });
}

async function showKnown(error: unknown): Promise<void> {
  const known = await (await keeping.boxes).keeper.known();
  const { search, kind, paper } = wish.value;
  const wanted = search.toLocaleLowerCase('en');
  projects.value = [...known]
    .filter(
      ([, { name, box }]) =>
        name.toLocaleLowerCase('en').includes(wanted) &&
        (kind === undefined || box.style.style === kind) &&
        (paper === undefined || box.papers.some((each) => each.name === paper)),
    )
    .map(([id, document]) => ({ id, revision: 0, updatedAt: '', document }));
  total.value = projects.value.length;
  next.value = undefined;
  state.value =
    known.size > 0
      ? { kind: 'away' }
      : {
          kind: 'failed',
          message: error instanceof Error ? error.message : 'That did not work. Try again.',
        };
}

async function load(): Promise<void> {
  const question = ++asked;
  try {
    // The boxes don't wait for it, and are there without it.
    void readContents().then(
      (inAll) => {
        if (question === asked) contents.value = inAll;
      },
      () => undefined,
    );
    const shelf = await listProjects(wish.value);
    const here = await asHere(shelf.projects);
    if (question !== asked) return;
    projects.value = here;
    unreadable.value = shelf.unreadable;
    total.value = shelf.total;
    next.value = shelf.next;
    state.value = { kind: 'ready' };
  } catch (error) {
    if (question === asked) await showKnown(error);
  }
}

/** The next part of the shelf, as it comes into sight. */
async function loadMore(): Promise<void> {
  const question = asked;
  const after = next.value;
  if (after === undefined) return;
  next.value = undefined;
  try {
    const shelf = await listProjects({ ...wish.value, after });
    if (question !== asked) return;
    const known = new Set(projects.value.map(({ id }) => id));
    const more = (await asHere(shelf.projects)).filter(({ id }) => !known.has(id));
    projects.value = [...projects.value, ...more];
    unreadable.value = [...unreadable.value, ...shelf.unreadable];
    next.value = shelf.next;
  } catch {
    // It is asked for again when the end of the shelf is looked at again.
    if (question === asked) next.value = after;
  }
}

/** How many of the boxes are drawn: the first are seen before the last are made. */
const drawn = usePartByPart(() => projects.value.length, { atOnce: 4 });
const isAllDrawn = computed(() => drawn.value >= projects.value.length);
/** What is below the boxes comes after them, and stays: a focus on it is not lost to a box that is put back. */
const hasFoot = computed<boolean>(
  (had) => had === true || (isAllDrawn.value && state.value.kind === 'ready'),
);

/** What the server has shown goes when the page shows as much, or something else. */
watch(
  [state, drawn],
  ([{ kind }, shown]) => {
    if (kind === 'ready') leaveShelfSight({ shown, boxes: projects.value.length });
    else if (kind !== 'loading') leaveFirstSight();
  },
  { flush: 'post' },
);

const end = useTemplateRef('end');
useIntersectionObserver(end, (entries) => {
  if (entries.some(({ isIntersecting }) => isIntersecting)) void loadMore();
});
watchDebounced(wish, () => void load(), { debounce: 200 });

async function begin(): Promise<void> {
  await attempt(async () => {
    await Promise.all([tools.open(), papers.open()]);
    const fresh = newProject(usualUnit.value);
    const kit = kitFor(tools.toolbox, usualUnit.value);
    const box = { ...fresh.box, kit, papers: papers.forNewBox(fresh.box.papers) };
    const { id } = await createProject({ ...fresh, box });
    await router.push({ name: 'box', params: { id } });
  });
}

/** The same box, options and papers for another gift, with what changes from this one shown. */
async function resize({ document: { name, box } }: StoredProject): Promise<void> {
  await attempt(async () => {
    // It is another gift that is known now, and no size of the box.
    const fresh = { ...box, made: [], finished: undefined };
    const { id } = await createProject(forAnotherGift({ name, box: fresh }, fresh));
    await router.push({ name: 'box', params: { id } });
  });
}

async function duplicate(project: StoredProject): Promise<void> {
  await attempt(async () => {
    projects.value = [await duplicateProject(project.id), ...projects.value];
    total.value += 1;
  });
}

async function remove(project: StoredProject): Promise<void> {
  await attempt(async () => {
    await deleteProject(project.id);
    await (await keeping.boxes).keeper.forget(project.id);
    total.value -= 1;
    projects.value = projects.value.filter(({ id }) => id !== project.id);
    deleted.value = project;
  });
}

async function bringBack(): Promise<void> {
  const project = deleted.value;
  if (!project) return;
  await attempt(async () => {
    await restoreProject(project.id);
    await load();
    deleted.value = undefined;
  });
}

onMounted(load);
/** Somebody wants to be shown round a box. */
async function showFirstSteps({ id }: StoredProject): Promise<void> {
  steps.again();
  await router.push({ name: 'box', params: { id } });
}

// Changed elsewhere, it is shown as it is; several changes at once are one.
const loadSoon = useDebounceFn(() => {
  // Who has gone far along the shelf stays there.
  if (window.scrollY < window.innerHeight) void load();
}, 300);
onBeforeUnmount(
  keeping.onChange((what) => {
    if (what === 'boxes') void loadSoon();
  }),
);
</script>

<template>
  <div class="view">
    <TopBar place="shelf">
      <template #tools>
        <Button size="small" @click="begin"><Plus :size="17" />New box</Button>
      </template>
    </TopBar>
    <ShelfDesk :total="state.kind === 'ready' ? total : undefined">
      <template #filter>
        <ShelfFilter
          v-if="isSifted || projects.length > 1"
          :wish="wish"
          :contents="contents"
          @change="(part) => (wish = { ...wish, ...part })"
        />
      </template>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <p v-if="state.kind === 'away'" class="away" role="status">
        Without the server, these are the boxes that this browser knows: they open, and what you
        change is sent when it is back.
        <button type="button" @click="load">Try again</button>
      </p>
      <p v-if="unreadable.length > 0" class="trouble" role="alert">
        {{ unreadable.length === 1 ? 'One box' : `${unreadable.length} boxes` }} can’t be read here,
        and {{ unreadable.length === 1 ? 'is' : 'are' }} kept as they are:
        {{ unreadable.map(({ name }) => `“${name}”`).join(', ') }}.
      </p>
      <CardRows v-if="state.kind === 'loading'" aria-hidden="true">
        <li v-for="i in 8" :key="i" class="ghost" />
      </CardRows>
      <div v-else-if="isSignedOut && state.kind === 'failed'" class="empty">
        <h2>Sign in to see the shelf</h2>
        <Button label="Sign in" @click="access.isAsked = true" />
      </div>
      <div v-else-if="state.kind === 'failed'" class="empty" role="alert">
        <h2>The shelf can’t be reached</h2>
        <p>{{ state.message }}</p>
        <Button label="Try again" @click="load" />
      </div>
      <div v-else-if="projects.length === 0 && isSifted" class="empty">
        <h2>No such box on the shelf</h2>
        <Button label="Show all" @click="wish = { search: '', order: wish.order }" />
      </div>
      <div v-else-if="projects.length === 0" class="empty">
        <h2>Nothing on the shelf yet</h2>
        <p>Measure a gift with a ruler, and Rangoli says what to cut and where to score.</p>
        <Button label="New box" @click="begin" />
      </div>
      <CardRows v-else>
        <ShelfCard
          v-for="project in projects.slice(0, drawn)"
          :key="project.id"
          :project="project"
          @resize="resize(project)"
          @duplicate="duplicate(project)"
          @remove="remove(project)"
        />
      </CardRows>
      <div v-if="next && isAllDrawn" ref="end" class="end" aria-hidden="true" />
      <div v-else-if="!next && hasFoot && state.kind === 'ready'" class="foot">
        <QuietButton v-if="projects[0]" @click="showFirstSteps(projects[0])"
          >First steps</QuietButton
        >
        <QuietButton @click="showsDeleted = true">Deleted boxes</QuietButton>
      </div>
    </ShelfDesk>
    <DeletedBoxes v-if="showsDeleted" @back="load" @close="showsDeleted = false" />
    <UndoNote v-if="deleted" :key="deleted.id" @undo="bringBack" @close="deleted = undefined"
      >Deleted “{{ deleted.document.name }}”</UndoNote
    >
  </div>
</template>

<style scoped>
.view {
  background: var(--ground);
}

.ghost {
  height: 262px;
  border-radius: var(--radius);
  background: var(--rule);
  opacity: 0.5;
}

.foot {
  display: flex;
  gap: 6px;
  margin-top: 18px;
}

.end {
  height: 400px;
}

.away {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin-bottom: 14px;
  padding: 8px 12px;
  border-radius: var(--radius);
  background: var(--turmeric-pale);
}

.away button {
  padding: 0;
  border: 0;
  font-weight: 700;
  color: var(--ink);
  text-decoration: underline;
  background: none;
  cursor: pointer;
}

.trouble {
  margin-bottom: 14px;
  padding: 8px 12px;
  color: var(--vermilion);
  background: var(--vermilion-pale);
  border-radius: var(--radius);
}

.empty {
  display: grid;
  justify-items: center;
  gap: 12px;
  padding: 90px 20px;
  text-align: center;
}
</style>
