<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { onMounted } from 'vue';
import { RouterView } from 'vue-router';
import { useKeeping } from './stores/keeping.ts';

const keeping = useKeeping();
// What an earlier visit could not send goes on its way, whatever is looked at now.
onMounted(() => void keeping.takeUp());
useEventListener(window, 'pagehide', () => void keeping.flushOnLeave());
</script>

<template>
  <RouterView />
</template>
