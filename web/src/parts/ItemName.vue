<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { ref, watch } from 'vue';

/** What the maker calls a tool or a paper; an empty name is not taken, and says so. */
const props = defineProps<{ name: string; what: 'tool' | 'paper' }>();
const emit = defineEmits<{ change: [name: string] }>();

const typed = ref(props.name);
watch(
  () => props.name,
  (name) => {
    if (name !== typed.value.trim()) typed.value = name;
  },
);

function take(text: string | undefined): void {
  typed.value = text ?? '';
  const name = typed.value.trim();
  if (name !== '' && name !== props.name) emit('change', name);
}
</script>

<template>
  <label class="name">
    <span>Name</span>
    <InputText
      :model-value="typed"
      size="small"
      maxlength="60"
      :invalid="typed.trim() === ''"
      @update:model-value="take"
    />
    <em v-if="typed.trim() === ''" role="alert">Give the {{ what }} a name.</em>
  </label>
</template>

<style scoped>
em {
  font-size: 13px;
  font-style: normal;
  color: var(--vermilion);
}
</style>
