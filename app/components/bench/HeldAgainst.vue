<script setup lang="ts">
import { holdAgainst, sayAmount, type HeldRow } from '~~/core/criteria'
import type { CouponDocument } from '~~/core/coupon'
import type { LengthUnit } from '~~/core/units'
import { useBench } from '~/stores/bench'
import { useCriteria } from '~/stores/criteria'

/**
 * The coupon held against the criteria of codes, several at once: each line with what was measured, what is
 * allowed, and where it is written.
 */
const props = defineProps<{ document: CouponDocument; unit: LengthUnit }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const criteria = useCriteria()
onMounted(() => void criteria.load().catch(() => {}))

const sets = computed(() => criteria.offered.filter(set => criteria.chosen.includes(set.id)))
const held = computed(() => sets.value.map(set => holdAgainst(props.document, set, props.unit)))
const OUTCOMES = { 'pass': 'passes', 'fail': 'fails', 'not gauged': 'not all gauged' } as const
const allowed = (row: HeldRow) => (row.limit === 0 ? 'none' : sayAmount(row.criterion.observed, row.limit, props.unit))
function show(markIds: readonly string[]) {
  emit('close')
  bench.showInTurn(markIds)
}
</script>

<template>
  <v-dialog :model-value="true" max-width="860" aria-label="Held against codes" @update:model-value="$emit('close')">
    <div class="panel held">
      <h2>Held against codes</h2>
      <MeasuredLines :document="document" :unit="unit" @show="show" />
      <v-select
        v-model="criteria.chosen"
        label="Sets of criteria"
        multiple
        chips
        closable-chips
        hide-details
        :items="criteria.offered.map(set => ({ value: set.id, title: set.name }))"
      />
      <p v-if="held.length === 0" class="quiet">Choose a set.</p>
      <section v-for="one in held" :key="one.set.id" :aria-label="one.set.name">
        <h3>
          {{ one.set.name }} <span :class="one.outcome.replace(' ', '-')">{{ OUTCOMES[one.outcome] }}</span>
        </h3>
        <p class="quiet small">
          {{ one.set.edition }}. From memory, check your copy: the code in force and the qualified inspector decide.
        </p>
        <table>
          <thead>
            <tr>
              <th scope="col">Line</th>
              <th scope="col">Here</th>
              <th scope="col">At most</th>
              <th scope="col">Clause</th>
              <th scope="col"><span class="sr-only">Outcome</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in one.rows" :key="row.criterion.id" :class="row.outcome.replace(' ', '-')">
              <th scope="row">{{ row.name }}</th>
              <td class="num">{{ sayAmount(row.criterion.observed, row.measured, unit) }}</td>
              <td class="num">{{ allowed(row) }}</td>
              <td class="clause">{{ row.criterion.clause }}</td>
              <td>
                <button v-if="row.markIds.length > 0" type="button" @click="show(row.markIds)">fails: show</button
                ><template v-else>{{
                  row.outcome === 'pass' ? 'passes' : row.outcome === 'fail' ? 'fails' : ''
                }}</template>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <v-btn color="primary" block @click="$emit('close')">Close</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.held {
  padding: 22px;
  display: grid;
  gap: 14px;
  max-height: 90dvh;
  overflow: auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
h3 {
  font-size: 1.05rem;
  font-weight: 700;
}
h3 span {
  margin-left: 8px;
  padding: 1px 9px;
  border-radius: 8px;
  font-size: 0.86rem;
  border: 1px solid var(--line);
}
h3 .fail {
  background: #b3331b;
  color: #fff;
  border-color: transparent;
}
.small {
  font-size: 0.86rem;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: 4px;
}
th,
td {
  text-align: left;
  padding: 6px 8px;
  font-weight: 400;
  border-top: 1px solid var(--line);
  vertical-align: middle;
}
thead th {
  color: var(--quiet);
  font-size: 0.85rem;
  font-weight: 600;
  border-top: 0;
}
tr.fail th,
tr.fail td.num {
  font-weight: 700;
}
tr.not-gauged th,
tr.not-gauged td {
  color: var(--quiet);
}
.clause {
  color: var(--quiet);
  font-size: 0.86rem;
}
td button {
  min-height: 44px;
  color: var(--poor);
  font-weight: 700;
  text-decoration: underline;
}
</style>
