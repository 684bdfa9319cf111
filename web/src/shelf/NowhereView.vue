<script setup lang="ts">
import { RouterLink } from 'vue-router';
import TopBar from '../parts/TopBar.vue';
</script>

<template>
  <TopBar place="shelf" />
  <main class="nowhere">
    <h1>There is nothing here</h1>
    <p><RouterLink to="/">Back to the shelf</RouterLink></p>
  </main>
</template>

<style scoped>
.nowhere {
  display: grid;
  justify-items: center;
  gap: 12px;
  padding: 100px 20px;
}
</style>
