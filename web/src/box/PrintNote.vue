<script setup lang="ts">
import {
  choiceOf,
  cutUnit,
  isSameFace,
  mostAdditions,
  paperFor,
  papersOf,
  printOnPieceInWords,
  printTurnInWords,
  type FaceChoice,
  type Piece,
  type PlanRequest,
  type PrintOnPiece,
  type Side,
} from '@rangoli/core';
import { computed } from 'vue';
import Pick from '../parts/Pick.vue';
import QuietButton from '../parts/QuietButton.vue';
import { useDressing } from '../dress/dressing.ts';
import { useProject } from '../stores/project.ts';

/** How the print of a piece stands in the closed box, and what can be done where it stands wrong. */
const props = defineProps<{ piece: Piece; print: PrintOnPiece; request: PlanRequest }>();

const project = useProject();
const dressing = useDressing();

function turn(top: Side): void {
  const { printTops } = props.request;
  project.changeBox(`print of ${props.piece.id}`, {
    printTops: { ...printTops, [props.piece.id]: top },
  });
}

/** The faces on which it stands wrong, and that a panel can be put on; none where the box wears too much already. */
const bare = computed((): readonly FaceChoice[] => {
  const faces = props.print.faces
    .filter(({ stands }) => stands !== 'upright')
    .flatMap(({ faces }) => faces.map(choiceOf))
    .filter((face) => dressing.faces.some((each) => isSameFace(each.face, face)))
    .filter((face) => dressing.wornOn(face) === undefined);
  return props.request.additions.length + faces.length > mostAdditions ? [] : faces;
});

function cover(): void {
  dressing.cover(bare.value, paperFor(papersOf(props.request), props.piece.paper));
}
</script>

<template>
  <div class="print">
    <p>{{ printOnPieceInWords(print, cutUnit(request.kit)) }}</p>
    <div v-if="print.turns.length > 0 || bare.length > 0" class="choices">
      <Pick
        v-if="print.turns.length > 0"
        label="Turn the print"
        placeholder="Turn it…"
        :value="undefined"
        :options="print.turns.map((each) => ({ value: each.top, label: printTurnInWords(each) }))"
        @change="turn"
      />
      <QuietButton v-if="bare.length > 0" @click="cover">
        {{ bare.length === 1 ? 'Cover it with a panel' : 'Cover those with panels' }}
      </QuietButton>
    </div>
  </div>
</template>

<style scoped>
.print {
  font-size: 13.5px;
  line-height: 1.35;
  color: var(--ink-soft);
}

p {
  margin: 2px 0 0;
}

.choices {
  display: flex;
  gap: 6px;
  margin-top: 4px;
}

.choices > :first-child {
  flex: 1 1 0;
  max-width: 150px;
}

.choices :deep(.quiet-button) {
  min-height: 26px;
  padding: 1px 8px;
  border: 1px solid var(--rule);
  font-size: 13px;
}
</style>
