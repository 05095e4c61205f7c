<script setup lang="ts">
import { rodAngleViews, type DrawnAngles } from '~/drawing/rodAngles'

/** Rod and plate from the side and from the end, to angle. */
const props = defineProps<{ wanted: DrawnAngles }>()
const views = computed(() => rodAngleViews(props.wanted))
</script>

<template>
  <div class="views">
    <figure v-for="view in views" :key="view.caption">
      <svg viewBox="10 2 100 96" role="img" :aria-label="`${view.caption}: ${view.angle}`">
        <path v-for="(shape, index) in view.shapes" :key="index" :d="shape.d" :class="shape.kind" />
      </svg>
      <figcaption>
        <b>{{ view.angle }}</b><small>{{ view.caption }}</small>
      </figcaption>
    </figure>
  </div>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
figure {
  display: grid;
  justify-items: center;
  min-width: 0;
}
svg {
  width: 100%;
  max-height: 230px;
}
figcaption {
  display: grid;
  justify-items: center;
  text-align: center;
  line-height: 1.25;
}
b {
  font-weight: 650;
}
small {
  color: var(--quiet);
}
.plate {
  fill: var(--steel);
  stroke: var(--steel-dark);
  stroke-width: 0.7;
}
.bead {
  fill: var(--steel-dark);
  stroke: #2c373d;
  stroke-width: 0.7;
}
.rod {
  fill: #eadfcd;
  stroke: #2c373d;
  stroke-width: 0.8;
}
.core {
  fill: none;
  stroke: currentColor;
  stroke-width: 2.2;
}
.square {
  fill: none;
  stroke: currentColor;
  stroke-opacity: 0.6;
  stroke-width: 0.7;
  stroke-dasharray: 3 2.4;
}
.sweep {
  fill: none;
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 1.8;
}
.travel {
  fill: none;
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 2;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
