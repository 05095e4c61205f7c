<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { useSetUpCase } from '~/composables/setUpCase'
import { useHouseRules } from '~/stores/houseRules'
import { useSession } from '~/stores/session'

const houseRules = useHouseRules()
const session = useSession()
const setUp = useSetUpCase()
const printing = ref(false)
const { copy, copied } = useClipboard({ legacy: true })
</script>

<template>
  <SideAndMain label="What is to be welded" sticky>
    <template #ask>
      <CaseForm
        :fields="setUp.fields.value"
        :values="setUp.shown.value"
        :unit="houseRules.unit"
        @set="setUp.set"
        @problem="setUp.setProblem"
      />
      <div class="acts">
        <v-btn v-if="session.isStaff" color="primary" block :disabled="!setUp.valid.value" @click="printing = true"
          >Cards for booths</v-btn
        >
        <v-btn variant="text" block @click="copy(setUp.link())">{{
          copied ? 'Link copied' : 'Copy a link to this card'
        }}</v-btn>
      </div>
    </template>
    <SettingsCardView
      :card="setUp.card.value"
      :wanted="setUp.wanted.value"
      :hand="setUp.hand.value"
      :name="setUp.name.value"
      :rules="houseRules.current.rules"
    />
    <LazyCardPrinter v-if="printing" :wanted="setUp.wanted.value" :name="setUp.name.value" @close="printing = false" />
  </SideAndMain>
</template>

<style scoped>
.acts {
  display: grid;
  gap: 6px;
}
</style>
