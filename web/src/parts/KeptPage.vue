<script setup lang="ts">
import type { BoxBeside } from '../stores/box-beside.ts';
import type { ItemClash } from '../stores/kept-items.ts';
import ItemClashes from './ItemClashes.vue';
import QuietButton from './QuietButton.vue';
import TopBar from './TopBar.vue';

/**
 * A view of things that a maker keeps beside the boxes, with the way back to the box that was open: nothing of them is
 * shown before the server was heard.
 */
defineProps<{
  place: 'kit' | 'papers';
  /** What the maker has: “tools”. */
  things: string;
  isHere: boolean;
  trouble: string | undefined;
  clashes: readonly ItemClash[];
  /** The box that it was gone to from. */
  beside: BoxBeside | undefined;
}>();
const emit = defineEmits<{ refresh: []; settle: [id: string, as: 'mine' | 'theirs'] }>();
</script>

<template>
  <div class="view">
    <TopBar :place="place" v-bind="beside ? { project: beside.id } : {}">
      <strong v-if="beside?.document" class="box-name">{{ beside.document.name }}</strong>
    </TopBar>
    <main>
      <div class="head">
        <h1>My {{ things }}</h1>
        <p class="quiet"><slot name="intro" /></p>
        <slot name="acts" />
        <p v-if="trouble" role="alert" class="trouble">{{ trouble }}</p>
      </div>
      <p v-if="!isHere" class="quiet" role="status">
        {{
          trouble
            ? `Your ${things} are on the server. They are shown here as soon as it answers, so that nothing is written over them.`
            : `Getting your ${things}…`
        }}
        <QuietButton v-if="trouble" @click="emit('refresh')">Try again</QuietButton>
      </p>
      <ItemClashes
        v-else
        :clashes="clashes"
        @settle="(id: string, as: 'mine' | 'theirs') => emit('settle', id, as)"
      />
      <slot v-if="isHere" />
    </main>
  </div>
</template>

<style scoped>
main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 18px 20px 60px;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
}

h1 {
  margin: 0;
  font: 700 30px var(--figures);
}

.head p {
  flex: 1 1 420px;
  margin: 0;
}

.head .trouble {
  flex-basis: 100%;
  color: var(--vermilion);
}
</style>
