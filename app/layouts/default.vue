<script setup lang="ts">
import { useLeftAlone } from '~/composables/leftAlone'
import { useShopTheme } from '~/composables/shopTheme'
import { roomAt } from '~/rooms/rooms'
import { useSession } from '~/stores/session'

const route = useRoute()
const session = useSession()
useLeftAlone()
useShopTheme()
const bare = computed(() => roomAt(route.path)?.bare === true || !session.me)
</script>

<template>
  <v-app>
    <a class="skip" href="#main">Skip to the page</a>
    <div class="frame" :class="{ bare }">
      <AppRail v-if="!bare" />
      <main id="main" tabindex="-1"><slot /></main>
    </div>
  </v-app>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  min-height: 100dvh;
}
.frame.bare {
  grid-template-columns: minmax(0, 1fr);
}
main {
  min-width: 0;
  outline: none;
}
.skip {
  position: absolute;
  left: -999px;
  top: 8px;
  z-index: 10;
  background: #fff;
  color: #000;
  padding: 8px 12px;
}
.skip:focus {
  left: 8px;
}
@media (max-width: 700px) {
  .frame {
    grid-template-columns: minmax(0, 1fr);
  }
  /* While a coupon is read in one hand the screen is the coupon's. */
  .frame:has(.phone-bench) > .rail {
    display: none;
  }
}
@media print {
  .frame {
    display: block;
  }
}
</style>
