<script setup lang="ts">
import BoxDesk from '../box/BoxDesk.vue';
import CutList from '../box/CutList.vue';
import VerdictBar from '../box/VerdictBar.vue';
import type { BoxTold, Planned } from '../planner/tell.ts';
import SightBar from './SightBar.vue';

/** The Box view as it is read before its scripts have come: its bar, the cut list and the verdict, each in its place. */
defineProps<{ id: string; name: string; planned: Planned; told: BoxTold }>();
</script>

<template>
  <div id="first-sight" class="of-box" aria-hidden="true" inert>
    <SightBar place="box" :project="id">
      <strong class="box-name">{{ name }}</strong>
    </SightBar>
    <BoxDesk :name="name">
      <CutList :plan="planned.plan" :request="planned.request" :told="told" :stale="false" />
    </BoxDesk>
    <VerdictBar :verdicts="told.verdicts" :trouble="undefined" :has-ways="false" />
  </div>
</template>
