<script setup lang="ts">
import { ChevronDown, Copy, Trash2 } from '@lucide/vue';
import { useId } from 'vue';
import FormGrid from '../parts/FormGrid.vue';
import QuietButton from '../parts/QuietButton.vue';
import Worded from '../parts/Worded.vue';

/** One tool on the list: ticked where the maker has it. Its drawing and the form to change it come when it is opened. */
defineProps<{
  id: string;
  name: string;
  /** Together a sentence without its full stop. */
  facts: readonly string[];
  owned: boolean;
  isEdited: boolean;
  /** What is shipped stays; what the maker added can go. */
  canGo: boolean;
}>();
const emit = defineEmits<{ owned: [has: boolean]; edit: []; copy: []; remove: [] }>();

const tick = useId();

function set(event: Event): void {
  if (event.target instanceof HTMLInputElement) emit('owned', event.target.checked);
}
</script>

<template>
  <li :id="`tool-${id}`" :class="{ edited: isEdited }">
    <input
      :id="tick"
      type="checkbox"
      :checked="owned"
      :aria-labelledby="`${tick}-name`"
      :aria-describedby="`${tick}-facts`"
      @change="set"
    />
    <label :for="tick">
      <b :id="`${tick}-name`"><Worded :text="name" /></b>
      <span :id="`${tick}-facts`" class="facts"
        ><span v-for="(fact, i) in facts" :key="fact" class="fact"
          ><template v-if="i > 0">, </template><Worded :text="fact" /></span
      ></span>
    </label>
    <QuietButton :aria-expanded="isEdited" :aria-label="`Edit ${name}`" @click="emit('edit')">
      Edit<ChevronDown :size="15" aria-hidden="true" :class="{ turned: isEdited }" />
    </QuietButton>
    <div class="beside"><slot name="beside" /></div>
    <div v-if="isEdited" class="details">
      <slot name="picture" />
      <div>
        <FormGrid><slot /></FormGrid>
        <p class="acts">
          <QuietButton @click="emit('copy')">
            <Copy :size="15" aria-hidden="true" />Copy
          </QuietButton>
          <QuietButton v-if="canGo" @click="emit('remove')">
            <Trash2 :size="15" aria-hidden="true" />Remove
          </QuietButton>
        </p>
      </div>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 0 12px;
  align-items: center;
  min-height: 52px;
  border-top: 1px solid var(--rule);
}

li.edited {
  grid-column: 1 / -1;
}

input[type='checkbox'] {
  width: 24px;
  height: 24px;
  margin: 0;
  accent-color: var(--leaf);
  cursor: pointer;
}

label {
  display: grid;
  padding: 6px 0;
  cursor: pointer;
}

b {
  font: 700 16px var(--figures);
}

/* As many facts as a line holds, each of them whole; all of them where the tool is looked at. */
.facts {
  height: 1lh;
  overflow: hidden;
  font-size: 13px;
  color: var(--ink-soft);
}

.edited .facts {
  height: auto;
}

.fact {
  display: inline-block;
  white-space: pre;
}

.turned {
  transform: rotate(180deg);
}

.beside {
  grid-column: 2 / -1;
}

.details {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 16px;
  align-items: start;
  padding: 8px 0 18px 36px;
}

.acts {
  display: flex;
  gap: 10px;
  margin: 12px 0 0;
}

@media (max-width: 560px) {
  .details {
    grid-template-columns: 1fr;
    padding-left: 0;
  }
}
</style>
