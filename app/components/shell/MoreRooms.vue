<script setup lang="ts">
import { mdiExitToApp, mdiHelp, mdiKeyVariant, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { useShopTheme } from '~/composables/shopTheme'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'

/** On a phone: the rooms that are not on its bar, what is one's own, and the way out, apart from the rest. */
defineProps<{ rooms: readonly { readonly to: string; readonly name: string }[]; saved: string }>()
const emit = defineEmits<{ help: []; own: []; leave: []; close: [] }>()
const session = useSession()
const sections = useSections()
const theme = useShopTheme()

function choose(act: () => void) {
  emit('close')
  act()
}
</script>

<template>
  <v-bottom-sheet :model-value="true" aria-label="More" @update:model-value="$emit('close')">
    <section class="more">
      <p class="quiet">{{ [session.me?.name, sections.current?.name, saved].filter(Boolean).join(' · ') }}</p>
      <ul>
        <li v-for="room in rooms" :key="room.to">
          <NuxtLink :to="room.to" @click="$emit('close')">{{ room.name }}</NuxtLink>
        </li>
      </ul>
      <div class="own">
        <button type="button" @click="theme.toggle">
          <v-icon :icon="theme.isDark.value ? mdiWhiteBalanceSunny : mdiWeatherNight" size="22" />
          {{ theme.isDark.value ? 'Light theme for the shop' : 'Dark theme for the booth' }}
        </button>
        <button type="button" @click="choose(() => emit('help'))">
          <v-icon :icon="mdiHelp" size="22" /> Help with this room
        </button>
        <button type="button" @click="choose(() => emit('own'))">
          <v-icon :icon="mdiKeyVariant" size="22" /> Your sign-in
        </button>
      </div>
      <button type="button" class="out" @click="choose(() => emit('leave'))">
        <v-icon :icon="mdiExitToApp" size="22" /> Sign out
      </button>
    </section>
  </v-bottom-sheet>
</template>

<style scoped>
.more {
  padding: 16px 16px 20px;
  border-radius: 14px 14px 0 0;
  background: rgb(var(--v-theme-surface));
  display: grid;
  gap: 12px;
}
ul {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px;
}
a,
button {
  min-height: 52px;
  padding: 0 14px;
  display: flex;
  align-items: center;
  gap: 12px;
  border-radius: 10px;
  color: inherit;
  text-decoration: none;
  font-weight: 600;
}
a {
  background: rgb(var(--v-theme-surface-variant));
}
.own {
  display: grid;
}
.out {
  margin-top: 12px;
  border: 1px solid var(--line);
  justify-content: center;
}
</style>
