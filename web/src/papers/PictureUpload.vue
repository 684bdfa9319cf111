<script setup lang="ts">
import { millimetres, type Print } from '@rangoli/core';
import { ImagePlus } from '@lucide/vue';
import { computed, ref, shallowRef, useTemplateRef } from 'vue';
import { putPicture } from '../api/pictures.ts';
import PrintSwatch from '../prints/PrintSwatch.vue';
import QuietButton from '../parts/QuietButton.vue';

type PicturePrint = Extract<Print, { kind: 'picture' }>;

/** A picture of the maker’s own paper: chosen, sent to the server that keeps it, and shown. */
const props = defineProps<{ colour: string; print: PicturePrint | undefined }>();
const emit = defineEmits<{ change: [print: PicturePrint] }>();

const input = useTemplateRef<HTMLInputElement>('input');
const isSending = ref(false);
const trouble = ref('');
/** The file that could not be sent, to be sent once more. */
const chosen = shallowRef<File>();

/** A scrapbooking sheet is photographed whole as a rule. */
const usually = millimetres(150);

const words = computed(() => {
  if (isSending.value) return 'sending…';
  return props.print ? 'another picture' : 'my own picture';
});

async function send(): Promise<void> {
  const file = chosen.value;
  if (!file) return;
  isSending.value = true;
  trouble.value = '';
  try {
    const picture = await putPicture(file);
    chosen.value = undefined;
    emit('change', { kind: 'picture', picture, across: props.print?.across ?? usually });
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The picture could not be sent.';
  } finally {
    isSending.value = false;
  }
}

function take(): void {
  const field = input.value;
  chosen.value = field?.files?.[0];
  // The same file may be chosen once more.
  if (field) field.value = '';
  void send();
}
</script>

<template>
  <button
    type="button"
    :aria-pressed="print !== undefined"
    :disabled="isSending"
    @click="input?.click()"
  >
    <PrintSwatch v-if="print" :colour="colour" :print="print" />
    <span v-else class="empty"><ImagePlus :size="20" aria-hidden="true" /></span>
    {{ words }}
  </button>
  <input
    ref="input"
    type="file"
    accept="image/png,image/jpeg,image/webp"
    aria-label="A picture of the print: PNG, JPEG or WebP"
    hidden
    @change="take"
  />
  <p v-if="trouble" class="trouble" role="alert">
    {{ trouble }}
    <QuietButton v-if="chosen" class="again" @click="send">Try {{ chosen.name }} again</QuietButton>
  </p>
</template>

<style scoped>
.empty {
  display: grid;
  place-items: center;
  width: 76px;
  height: 48px;
  border: 1px dashed var(--rule);
  border-radius: 3px;
  color: var(--ink-soft);
}

.trouble {
  flex-basis: 100%;
  margin: 2px 0 0;
  font-size: 13.5px;
  color: var(--vermilion);
}

.trouble .again {
  display: inline-flex;
  width: auto;
  border: 0;
}
</style>
