<template>
  <ul class="shelf">
    <slot />
  </ul>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 18px;
}
</style>
