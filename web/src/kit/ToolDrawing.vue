<script setup lang="ts">
import type { KindedTool } from '@rangoli/core';
import PunchBoardPicture from './PunchBoardPicture.vue';
import SmallToolPicture from './SmallToolPicture.vue';
import ToolPicture from './ToolPicture.vue';

/** A tool drawn from its own numbers. */
defineProps<{ kept: KindedTool }>();
</script>

<template>
  <ToolPicture
    v-if="kept.kind === 'boards'"
    kind="board"
    :unit="kept.tool.unit"
    :pitch="kept.tool.pitch"
    :reach="kept.tool.reach"
    :length="kept.tool.grooveLength"
    :fence="kept.tool.fence"
  />
  <ToolPicture
    v-else-if="kept.kind === 'trimmers'"
    kind="trimmer"
    :unit="kept.tool.unit"
    :pitch="kept.tool.step"
    :reach="kept.tool.widthWithArm"
    :length="kept.tool.cutLength"
    :table="kept.tool.tableWidth"
    fence="left"
  />
  <ToolPicture
    v-else-if="kept.kind === 'rulers'"
    kind="ruler"
    :unit="kept.tool.unit"
    :pitch="kept.tool.step"
    :reach="kept.tool.length"
    :length="kept.tool.length"
    fence="left"
  />
  <PunchBoardPicture
    v-else-if="kept.kind === 'diagonalBoards'"
    :board="{ kind: 'diagonal', tool: kept.tool }"
  />
  <PunchBoardPicture
    v-else-if="kept.kind === 'cornerBoards'"
    :board="{ kind: 'corner', tool: kept.tool }"
  />
  <SmallToolPicture v-else :tool="kept" />
</template>
