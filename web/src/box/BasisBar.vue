<script setup lang="ts">
import type { KeptPart, PlanChanges } from '@rangoli/core';
import { computed } from 'vue';

/** Says from which box this one was made, and what of it has changed. */
const props = defineProps<{ name: string; changes: PlanChanges | undefined }>();
const emit = defineEmits<{ done: [] }>();

const changed = computed(
  () =>
    props.changes?.pieces.filter(({ sameSize, sameScores }) => !(sameSize && sameScores)).length ??
    0,
);
function keptWords(kept: readonly KeptPart[]): string {
  const list = kept.join(', ').replace(/, ([^,]*)$/, ' and $1');
  return list === '' ? '' : ` ${list.charAt(0).toUpperCase()}${list.slice(1)} kept.`;
}

const words = computed(() => {
  const { changes } = props;
  if (!changes) return 'The other box can’t be planned any more, so there is nothing to compare.';
  if (changed.value === 0) return 'Nothing has changed yet: type the new gift’s measures.';
  const pieces = `${changed.value} of ${changes.pieces.length} ${changes.pieces.length === 1 ? 'piece' : 'pieces'} changed`;
  const gone = changes.gone.length > 0 ? `; no ${changes.gone.join(', no ').toLowerCase()}` : '';
  const sheets =
    changes.sheets === changes.sheetsWere
      ? ''
      : `; sheets ${changes.sheetsWere} → ${changes.sheets}`;
  return `${pieces}${gone}${sheets}.${keptWords(changes.kept)}`;
});
</script>

<template>
  <section class="basis" aria-label="What changed">
    <p>
      <strong>From {{ name }}</strong> {{ words }}
    </p>
    <button type="button" @click="emit('done')">Hide</button>
  </section>
</template>

<style scoped>
.basis {
  display: flex;
  gap: 10px;
  align-items: start;
  padding: 8px 16px;
  font-size: 13px;
  line-height: 1.35;
  background: var(--leaf-pale);
}

p {
  flex: 1;
}

strong {
  display: block;
}

button {
  padding: 0;
  border: 0;
  font: 600 13px var(--text);
  color: inherit;
  text-decoration: underline;
  background: none;
  cursor: pointer;
}
</style>
