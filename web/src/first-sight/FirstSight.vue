<script setup lang="ts">
import { CircleCheck } from '@lucide/vue';
import BoxDesk from '../box/BoxDesk.vue';
import CutList from '../box/CutList.vue';
import VerdictBar from '../box/VerdictBar.vue';
import TopBarFrame from '../parts/TopBarFrame.vue';
import type { BoxTold, Planned } from '../planner/tell.ts';

/** The Box view as it is read before its scripts have come: its bar, the cut list and the verdict, each in its place. */
defineProps<{ id: string; name: string; planned: Planned; told: BoxTold }>();

/** As wide as what is kept where will be, so that nothing moves when that is known. */
const kept = { display: 'flex', paddingRight: '15px' };
</script>

<template>
  <TopBarFrame place="box" :project="id">
    <strong class="box-name">{{ name }}</strong>
    <template #kept
      ><a :style="kept"><CircleCheck :size="17" aria-hidden="true" /></a
    ></template>
  </TopBarFrame>
  <BoxDesk :name="name">
    <CutList :plan="planned.plan" :request="planned.request" :told="told" :stale="false" />
  </BoxDesk>
  <VerdictBar :verdicts="told.verdicts" :trouble="undefined" :has-ways="false" />
</template>
