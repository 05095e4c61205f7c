<script setup lang="ts">
import { useSaving } from '~/composables/saving'
import { useOneTimeCodes } from '~/stores/oneTimeCodes'
import { useSession } from '~/stores/session'

/** Whether the school's staff sign in with one-time codes. */
const session = useSession()
const codes = useOneTimeCodes()
const { busy, refused, attempt } = useSaving()
const choose = (wanted: boolean | null) => attempt('', () => codes.wantOfStaff(wanted === true))
</script>

<template>
  <section class="panel codes" aria-label="Signing in">
    <h2>Signing in</h2>
    <v-checkbox
      label="Leads and instructors sign in with a one-time code"
      :model-value="session.me?.staffCodes"
      :disabled="busy"
      :error-messages="refused"
      hide-details="auto"
      @update:model-value="choose"
    />
    <p class="quiet">
      Whoever has none yet sets them up at the next click. A lost phone: take them off at the account.
    </p>
  </section>
</template>

<style scoped>
.codes {
  margin-top: 18px;
  padding: 16px 20px;
  display: grid;
  grid-template-columns: max-content minmax(220px, 460px) minmax(0, 1fr);
  gap: 8px 20px;
  align-items: center;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
}
@media (max-width: 900px) {
  .codes {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
