import { useSpeechSynthesis } from '@vueuse/core';
import { onBeforeUnmount, ref, watch, type Ref } from 'vue';

/** Reads a sentence aloud whenever it changes, while that is wanted and the browser can. */
export function useReadAloud(sentence: Ref<string>) {
  const isOn = ref(false);
  const { isSupported, speak, stop } = useSpeechSynthesis(sentence, { lang: 'en' });
  watch([isOn, sentence], () => {
    if (!isSupported.value) return;
    stop();
    if (isOn.value && sentence.value !== '') speak();
  });
  onBeforeUnmount(() => {
    if (isSupported.value) stop();
  });
  return { isOn, isSupported };
}
