<script setup lang="ts">
import { verdictsOf, type Plan, type PlanRequest } from '@rangoli/core';
import { computed } from 'vue';
import Worded from '../parts/Worded.vue';

/** What makers check before they cut; or why the plan above is the last good one. */
const props = defineProps<{ plan: Plan; request: PlanRequest; trouble: string | undefined }>();
const emit = defineEmits<{ rescue: [] }>();

const verdicts = computed(() => verdictsOf(props.plan, props.request));
</script>

<template>
  <footer class="bar" aria-label="Verdict">
    <p v-if="trouble" class="trouble" role="status"><i class="wrong" />{{ trouble }}</p>
    <ul v-else>
      <li
        v-for="verdict in verdicts"
        :key="verdict.about"
        :class="[verdict.about, { told: verdict.detail }]"
        :tabindex="verdict.detail ? 0 : undefined"
      >
        <i v-if="verdict.state" :class="verdict.state" />
        <span
          >{{ verdict.text[0] }}<strong><Worded :text="verdict.text[1]" /></strong
          >{{ verdict.text[2] }}</span
        >
        <span v-if="verdict.detail" class="detail"><Worded :text="verdict.detail" /></span>
      </li>
    </ul>
    <button type="button" @click="emit('rescue')">Off by a bit?</button>
  </footer>
</template>

<style scoped>
.bar {
  position: relative;
  display: flex;
  align-items: center;
  min-height: 46px;
  padding: 6px 16px;
  color: #e9f1ee;
  background: var(--mat-deep);
}

button {
  flex: none;
  margin-left: 20px;
  padding: 4px 8px;
  border: 0;
  font: 600 14px var(--text);
  color: inherit;
  text-decoration: underline;
  background: none;
  cursor: pointer;
}

ul {
  flex: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
}

li,
.trouble {
  display: flex;
  align-items: center;
  gap: 8px;
}

li {
  position: relative;
}

.paper {
  margin-left: auto;
}

i {
  flex: none;
  width: 9px;
  height: 9px;
  border-radius: 50%;
  background: var(--leaf-on-ink);
}

i.care {
  border-radius: 0;
  background: none;
  width: 0;
  height: 0;
  border: 6px solid transparent;
  border-top: 0;
  border-bottom: 10px solid #ff8d9d;
}

i.wrong {
  border-radius: 1px;
  background: #ff8d9d;
  transform: rotate(45deg);
}

strong {
  color: #ffffff;
}

.told {
  cursor: help;
}

.detail {
  position: absolute;
  z-index: 4;
  left: -8px;
  bottom: calc(100% + 14px);
  width: max-content;
  max-width: 340px;
  padding: 8px 12px;
  color: #ffffff;
  background: var(--mat-deep);
  border: 1px solid #5d7f78;
  border-radius: var(--radius);
  visibility: hidden;
}

.paper .detail {
  left: auto;
  right: 0;
}

li:hover .detail,
li:focus .detail {
  visibility: visible;
}
</style>
