<script setup lang="ts">
import type { Leaver, Retention } from '~~/contract/retention'
import { longDay } from '~~/core/calendar'
import { useSaving } from '~/composables/saving'
import { usePeople } from '~/stores/people'

/** For how long the record of a student who left is kept, and whose goes next. Nothing goes by itself. */
const MONTHS_A_YEAR = 12
const NEVER = 0
const MOST_SHOWN = 8
const YEARS = [1, 2, 3, 5, 7, 10]
const people = usePeople()
const kept = shallowRef<Retention | null>(null)
const asking = ref(false)
const { busy, refused, attempt } = useSaving()
const load = async () => {
  kept.value = await people.retention().catch(() => null)
}
onMounted(load)

const choices = [
  { title: 'The school has not said', value: NEVER },
  ...YEARS.map(years => ({
    title: years === 1 ? 'One year after leaving' : `${years} years after leaving`,
    value: years * MONTHS_A_YEAR,
  })),
]
const due = computed(() => kept.value?.leavers.filter(one => one.due) ?? [])
const shown = computed(() => kept.value?.leavers.slice(0, MOST_SHOWN) ?? [])

/** When a leaver's record goes, in words. */
function goes({ goesOn, due }: Leaver): string {
  if (goesOn === null) return 'kept'
  return due ? `due since ${longDay(goesOn)}` : `goes on ${longDay(goesOn)}`
}

async function choose(months: number) {
  if (await attempt('', () => people.keepFor(months === NEVER ? null : months))) await load()
}

/** One after the other, each whole and each in the trail: what a refusal leaves stands in the list as due. */
async function eraseDue() {
  const why = `kept for ${kept.value!.months} months after leaving`
  const all = async () => {
    for (const { id, name } of due.value) await people.erase(id, { name, why })
  }
  if (await attempt('', all)) asking.value = false
  await load()
}
</script>

<template>
  <HouseSetting v-if="kept" name="Records kept">
    <v-select
      label="A record is kept until"
      :items="choices"
      :model-value="kept.months ?? NEVER"
      :disabled="busy"
      :error-messages="asking ? '' : refused"
      hide-details="auto"
      @update:model-value="choose"
    />
    <template #means>
      <template v-if="kept.leavers.length === 0">Nobody has left yet: whoever is archived stands here.</template>
      <template v-else>
        <span class="list">
          <span v-for="one in shown" :key="one.id" :class="{ due: one.due }">
            <b>{{ one.name }}</b>, {{ one.section }}, left {{ longDay(one.leftOn) }}: {{ goes(one) }}
          </span>
          <span v-if="kept.leavers.length > MOST_SHOWN">and {{ kept.leavers.length - MOST_SHOWN }} later</span>
        </span>
        <v-btn v-if="due.length > 0" variant="outlined" color="error" @click="asking = true"
          >Erase the {{ due.length === 1 ? 'record' : `${due.length} records` }} due</v-btn
        >
      </template>
    </template>
    <FormDialog
      v-if="asking"
      :heading="due.length === 1 ? 'Erase one record?' : `Erase ${due.length} records?`"
      save="Erase for good"
      danger
      :message="refused"
      :busy="busy"
      @submit="eraseDue"
      @close="asking = false"
    >
      <p>{{ due.map(one => one.name).join(', ') }}.</p>
      <p>
        Names, notes, earlier versions, remarks and sign-ins go. What was counted stays without a name. It cannot be
        taken back; backups made before hold it for as long as they are kept.
      </p>
    </FormDialog>
  </HouseSetting>
</template>

<style scoped>
.list {
  display: grid;
  gap: 4px;
  margin-bottom: 8px;
}
.due {
  color: var(--poor);
}
</style>
