<script setup lang="ts">
import type { KeptPaper, PlacedPaper } from '@rangoli/core';
import { Archive, ArchiveRestore, Copy, Pencil, Plus, Trash2 } from '@lucide/vue';
import { computed, nextTick, onMounted, shallowRef } from 'vue';
import KeptPage from '../parts/KeptPage.vue';
import KeptRow from '../parts/KeptRow.vue';
import KeptSection from '../parts/KeptSection.vue';
import QuietButton from '../parts/QuietButton.vue';
import RemovedList from '../parts/RemovedList.vue';
import Worded from '../parts/Worded.vue';
import { useBoxBeside } from '../stores/box-beside.ts';
import { usePapers } from '../stores/papers.ts';
import { paperFacts } from './paper-facts.ts';
import PaperForm from './PaperForm.vue';
import PaperPicture from './PaperPicture.vue';
import { taughtWords } from './taught-words.ts';

/** The maker’s papers: what each is and comes in, and what trial boxes have taught about it. */
const papers = usePapers();
const beside = useBoxBeside();
onMounted(() => void papers.refresh());

const editing = shallowRef<string>();

interface Section {
  readonly title: string;
  readonly placed: readonly PlacedPaper[];
  readonly isShipped: boolean;
}

const sections = computed((): readonly Section[] => {
  const of = (isShipped: boolean) =>
    papers.placed
      .filter((placed) => placed.isShipped === isShipped)
      .toSorted((one, other) => Number(one.away) - Number(other.away));
  const all = [
    { title: 'My own', placed: of(false), isShipped: false },
    { title: 'Rangoli’s examples', placed: of(true), isShipped: true },
  ];
  return all.filter(({ placed }) => placed.length > 0);
});

function outIn({ placed }: Section): readonly string[] {
  return placed.filter(({ away }) => !away).map(({ paper }) => paper.id);
}

function idsIn({ placed }: Section): readonly string[] {
  return placed.map(({ paper }) => paper.id);
}

/** A paper of the maker’s own is opened at once, its name ready to be typed. */
async function begin(paper: KeptPaper, name: string): Promise<void> {
  const made = papers.copy(paper, name);
  editing.value = made;
  await nextTick();
  const row = document.getElementById(`paper-${made}`);
  row?.scrollIntoView({ block: 'center' });
  const field = row?.querySelector<HTMLInputElement>('.name input');
  field?.focus();
  field?.select();
}

function add(): void {
  const [first] = papers.atHand;
  if (first)
    void begin({ ...first, weight: undefined, sheets: first.sheets.slice(0, 1) }, 'My paper');
}

function copy({ paper }: PlacedPaper): void {
  void begin(paper, `${paper.name.slice(0, 50)}, mine`);
}

/** What is known of a paper beyond what is usual. */
function learned(paper: KeptPaper): string | undefined {
  return taughtWords(paper, papers.lessonOf(paper));
}

const removedNow = shallowRef<string>();
const removed = computed(() =>
  papers.removed.map(({ id, was: { paper } }) => ({
    id,
    name: paper.name,
    facts: `${paperFacts(paper)}.`,
  })),
);

function remove({ id }: KeptPaper): void {
  papers.remove(id);
  removedNow.value = id;
}

function putBack(id: string): void {
  removedNow.value = undefined;
  papers.putBack(id);
}

function edit(id: string): void {
  editing.value = editing.value === id ? undefined : id;
}
</script>

<template>
  <KeptPage
    place="papers"
    things="papers"
    :is-here="papers.isHere"
    :trouble="papers.trouble"
    :clashes="papers.clashes"
    :beside="beside"
    @refresh="papers.refresh()"
    @settle="papers.settle"
  >
    <template #intro>
      Every box that is begun with a paper takes what you tell of it here. A box that is planned
      already shows what has changed, and takes it when you say so.
    </template>
    <template #acts>
      <QuietButton v-if="papers.isHere" class="add" @click="add">
        <Plus :size="15" aria-hidden="true" />Add a paper
      </QuietButton>
    </template>
    <KeptSection
      v-for="section in sections"
      :key="section.title"
      :title="section.title"
      :is-dim="false"
    >
      <template v-if="section.isShipped" #acts>
        <QuietButton
          v-if="outIn(section).length > 0"
          class="add"
          @click="papers.putAway(idsIn(section), true)"
        >
          <Archive :size="15" aria-hidden="true" />Put all of them away
        </QuietButton>
        <QuietButton v-else class="add" @click="papers.putAway(idsIn(section), false)">
          <ArchiveRestore :size="15" aria-hidden="true" />Take all of them out
        </QuietButton>
      </template>
      <KeptRow
        v-for="placed in section.placed"
        :id="`paper-${placed.paper.id}`"
        :key="placed.paper.id"
        :name="placed.paper.name"
        :facts="paperFacts(placed.paper)"
        :is-lit="!placed.away"
        :is-edited="editing === placed.paper.id"
        class="paper"
      >
        <template #picture><PaperPicture :paper="placed.paper" /></template>
        <template #notes>
          <p v-if="learned(placed.paper)" class="learned">
            <Worded :text="learned(placed.paper) ?? ''" />
            <QuietButton @click="papers.forget(placed.paper.id)">Forget it</QuietButton>
          </p>
        </template>
        <template #acts>
          <QuietButton :aria-expanded="editing === placed.paper.id" @click="edit(placed.paper.id)">
            <Pencil :size="15" aria-hidden="true" />Edit
          </QuietButton>
          <QuietButton @click="copy(placed)">
            <Copy :size="15" aria-hidden="true" />Copy
          </QuietButton>
          <QuietButton @click="papers.putAway([placed.paper.id], !placed.away)">
            <ArchiveRestore v-if="placed.away" :size="15" aria-hidden="true" />
            <Archive v-else :size="15" aria-hidden="true" />
            {{ placed.away ? 'Take out' : 'Put away' }}
          </QuietButton>
          <QuietButton v-if="!placed.isShipped" @click="remove(placed.paper)">
            <Trash2 :size="15" aria-hidden="true" />Remove
          </QuietButton>
        </template>
        <template #form>
          <PaperForm
            :paper="placed.paper"
            :lesson="papers.lessonOf(placed.paper)"
            @change="(part) => papers.change(placed.paper.id, part)"
            @teach="papers.teach"
          />
        </template>
      </KeptRow>
    </KeptSection>
    <RemovedList
      things="papers"
      :removed="removed"
      :latest="removedNow"
      @back="putBack"
      @close="removedNow = undefined"
    />
  </KeptPage>
</template>

<style scoped>
.add {
  margin-left: auto;
}

.paper {
  grid-template-columns: 84px 1fr;
}

.paper.edited {
  grid-column: 1 / -1;
}

.learned {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 8px;
}

@media (max-width: 560px) {
  .paper {
    grid-template-columns: 56px 1fr;
  }
}
</style>
