<script setup lang="ts">
import { kitFor, longestName, newProject } from '@rangoli/core';
import { Plus } from '@lucide/vue';
import Button from 'primevue/button';
import { onMounted, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import {
  createProject,
  deleteProject,
  duplicateProject,
  listProjects,
  restoreProject,
  type Shelf,
  type StoredProject,
} from '../api/projects.ts';
import TopBar from '../parts/TopBar.vue';
import { useKeeping } from '../stores/keeping.ts';
import { useLessons } from '../stores/lessons.ts';
import { useToolbox } from '../stores/toolbox.ts';
import { useUsualUnit } from '../stores/usual-unit.ts';
import ShelfCard from './ShelfCard.vue';

/** All boxes, each as a small drawing of its own pieces. */
type State =
  | { readonly kind: 'loading' }
  | { readonly kind: 'ready' }
  /** The server is away: the boxes that this browser knows. */
  | { readonly kind: 'away' }
  | { readonly kind: 'failed'; readonly message: string };

const router = useRouter();
const state = shallowRef<State>({ kind: 'loading' });
const projects = shallowRef<readonly StoredProject[]>([]);
const unreadable = shallowRef<readonly { readonly id: string; readonly name: string }[]>([]);
const deleted = shallowRef<StoredProject>();
const trouble = ref('');
const usualUnit = useUsualUnit();
const keeping = useKeeping();
const tools = useToolbox();
const lessons = useLessons();

function sentence(error: unknown): string {
  return error instanceof Error ? error.message : 'Something broke.';
}

/** What is not on the shelf any more need not be known here, unless something of it waits. */
async function forgetOthers({ projects: there, unreadable: kept }: Shelf): Promise<void> {
  const { keeper } = await keeping.boxes;
  const ids = new Set([...there, ...kept].map(({ id }) => id));
  for (const id of (await keeper.known()).keys())
    if (!ids.has(id) && keeper.replica(id)?.isWaiting !== true) await keeper.forget(id);
}

async function load(): Promise<void> {
  state.value = { kind: 'loading' };
  try {
    const shelf = await listProjects();
    projects.value = shelf.projects;
    unreadable.value = shelf.unreadable;
    state.value = { kind: 'ready' };
    void forgetOthers(shelf);
  } catch (error) {
    const known = await (await keeping.boxes).keeper.known();
    projects.value = [...known].map(([id, document]) => ({
      id,
      revision: 0,
      updatedAt: '',
      document,
    }));
    state.value = known.size > 0 ? { kind: 'away' } : { kind: 'failed', message: sentence(error) };
  }
}

async function attempt(action: () => Promise<void>): Promise<void> {
  trouble.value = '';
  try {
    await action();
  } catch (error) {
    trouble.value = sentence(error);
  }
}

async function begin(): Promise<void> {
  await attempt(async () => {
    await Promise.all([tools.open(), lessons.open()]);
    const fresh = newProject(usualUnit.value);
    const kit = kitFor(tools.toolbox, usualUnit.value);
    const [first, ...others] = fresh.box.papers;
    const papers: typeof fresh.box.papers = [
      lessons.learned(first),
      ...others.map((paper) => lessons.learned(paper)),
    ];
    const { id } = await createProject({ ...fresh, box: { ...fresh.box, kit, papers } });
    await router.push({ name: 'box', params: { id } });
  });
}

/** The same box, options and papers for another gift, with what changes from this one shown. */
async function resize({ document: { name, box } }: StoredProject): Promise<void> {
  await attempt(async () => {
    const wanted = `${name.slice(0, longestName - 20)}, another gift`;
    const fresh = { ...box, made: [] };
    const { id } = await createProject({
      version: 1,
      name: wanted,
      box: fresh,
      basis: { name, box: fresh },
    });
    await router.push({ name: 'box', params: { id } });
  });
}

async function duplicate(project: StoredProject): Promise<void> {
  await attempt(async () => {
    projects.value = [await duplicateProject(project.id), ...projects.value];
  });
}

async function remove(project: StoredProject): Promise<void> {
  await attempt(async () => {
    await deleteProject(project.id);
    projects.value = projects.value.filter(({ id }) => id !== project.id);
    deleted.value = project;
  });
}

async function bringBack(): Promise<void> {
  const project = deleted.value;
  if (!project) return;
  await attempt(async () => {
    const restored = await restoreProject(project.id);
    projects.value = [...projects.value, restored].sort((a, b) =>
      b.updatedAt.localeCompare(a.updatedAt),
    );
    deleted.value = undefined;
  });
}

onMounted(load);
</script>

<template>
  <div class="view">
    <TopBar place="shelf">
      <template #tools>
        <Button size="small" @click="begin"><Plus :size="17" />New box</Button>
      </template>
    </TopBar>
    <main>
      <div class="head">
        <h1>Shelf</h1>
        <p v-if="state.kind === 'ready' && projects.length > 0" class="quiet">
          {{ projects.length }} {{ projects.length === 1 ? 'box' : 'boxes' }}
        </p>
      </div>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <p v-if="state.kind === 'away'" class="away" role="status">
        The server doesn’t answer. These are the boxes that this browser knows: they open, and what
        you change is sent when it is back.
        <button type="button" @click="load">Try again</button>
      </p>
      <p v-if="unreadable.length > 0" class="trouble" role="alert">
        {{ unreadable.length === 1 ? 'One box' : `${unreadable.length} boxes` }} can’t be read here,
        and {{ unreadable.length === 1 ? 'is' : 'are' }} kept as they are:
        {{ unreadable.map(({ name }) => `“${name}”`).join(', ') }}.
      </p>
      <ul v-if="state.kind === 'loading'" class="shelf" aria-hidden="true">
        <li v-for="i in 8" :key="i" class="ghost" />
      </ul>
      <div v-else-if="state.kind === 'failed'" class="empty" role="alert">
        <h2>The shelf can’t be reached</h2>
        <p>{{ state.message }}</p>
        <Button label="Try again" @click="load" />
      </div>
      <div v-else-if="projects.length === 0" class="empty">
        <h2>Nothing on the shelf yet</h2>
        <p>Measure a gift with a ruler, and Rangoli says what to cut and where to score.</p>
        <Button label="New box" @click="begin" />
      </div>
      <ul v-else class="shelf">
        <ShelfCard
          v-for="project in projects"
          :key="project.id"
          :project="project"
          @resize="resize(project)"
          @duplicate="duplicate(project)"
          @remove="remove(project)"
        />
      </ul>
    </main>
    <div v-if="deleted" class="undo" role="status">
      <span>Deleted “{{ deleted.document.name }}”</span>
      <button type="button" @click="bringBack">Undo</button>
      <button type="button" aria-label="Close" class="close" @click="deleted = undefined">×</button>
    </div>
  </div>
</template>

<style scoped>
.view {
  background: var(--ground);
}

main {
  max-width: 1320px;
  margin: 0 auto;
  padding: 22px 24px 80px;
}

.head {
  display: flex;
  align-items: baseline;
  gap: 12px;
  margin-bottom: 14px;
}

h1 {
  font-size: 26px;
}

.shelf {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 18px;
}

.ghost {
  height: 262px;
  border-radius: var(--radius);
  background: #e6ece8;
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

.undo {
  position: fixed;
  left: 50%;
  bottom: 22px;
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 10px 16px;
  transform: translateX(-50%);
  color: #ffffff;
  background: var(--ink);
  border-radius: var(--radius);
}

.undo button {
  padding: 4px 8px;
  border: 0;
  color: var(--turmeric);
  font-weight: 700;
  background: none;
  cursor: pointer;
}

.undo .close {
  color: #d3e2dd;
}
</style>
